import { Box, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useId } from 'react';
import { specsQuery } from '../../../api/specs';
import { Pick } from '../../../components/Entry';
import { shortName } from '../draft';
import type { FormProps } from '../SpecEditScreen';
import { families } from '../words';
import { SpecEntry } from './SpecEntry';

type WhichProps = FormProps & {
  /** Whether model and control stand: a next version, or a draft put right. */
  fixed: boolean;
  /** Another family begins anew, with what was typed of the model and its book. */
  onFamily?: ((family: string) => void) | undefined;
  /** Whether only the model stands: a control added to a machine. */
  modelStands?: boolean;
};

/** Which control of which model the figure is of; what the library has of it already is told. */
export const WhichControl = ({ draft, set, fixed, onFamily, modelStands = false }: WhichProps) => {
  const list = useId();
  const model = draft.model.trim();
  const { data: library } = useQuery({ ...specsQuery(model, 1), enabled: !fixed && model !== '' });
  const specs = library?.specs ?? [];
  const control = draft.control.trim() || shortName(draft.name);
  const there = specs.find((spec) => spec.model === model && spec.control === control);
  return (
    <Grid
      templateColumns={{ base: '1fr', md: fixed || modelStands ? '1fr 1fr' : '1fr 1.2fr 1fr' }}
      gap="3"
      alignItems="start"
    >
      {!fixed && onFamily !== undefined && (
        <Pick label="Family of control" value={draft.family} onChange={onFamily} options={families} name="family" />
      )}
      {!fixed && !modelStands && (
        <Box>
          <SpecEntry
            label="Machine model"
            value={draft.model}
            onChange={(next) => set({ model: next })}
            field="model"
            name="model"
            list={list}
            hint="As it is written on the machine's plate"
          />
          <datalist id={list}>
            {[...new Set(specs.map((spec) => spec.model))].map((one) => (
              <option key={one} value={one} />
            ))}
          </datalist>
        </Box>
      )}
      <SpecEntry
        label="Name of the control"
        value={draft.name}
        onChange={(name) => set({ name, ...(fixed ? {} : { control: shortName(name) }) })}
        field="name"
        name="name"
        hint={
          there === undefined
            ? undefined
            : `The library has it in version ${there.version}: this becomes the next one. Another control has a name of its own.`
        }
      />
    </Grid>
  );
};
