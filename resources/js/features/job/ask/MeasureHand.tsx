import { Box, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { within } from '../../../lib/capital';
import { isNoSize, lengthTyped, lengthUnit, shortLength } from '../../../lib/figures';
import { useBench } from '../useBench';

const wire = 'wire';

type Sizes = Readonly<Record<string, string>>;

type Typed = { at: string; sizes: Sizes };

/** The distances of this machine's own lever or grip: how far its reading point moves for a millimetre of wire. */
export const MeasureHand = ({ vivid = false }: { vivid?: boolean }) => {
  const { state, mayWrite } = useBench();
  const [open, setOpen] = useState(false);
  // Kept while nothing new is logged: what was refused is put right, and not typed anew.
  const [typed, setTyped] = useState<Typed>({ at: state.head, sizes: {} });
  if (state.hand.distances.length === 0 || !mayWrite) return null;
  return (
    <>
      <Button
        look={vivid ? 'vivid' : 'link'}
        size={vivid ? 'tall' : 'touch'}
        paddingInline={vivid ? undefined : '0'}
        onClick={() => setOpen(true)}
        data-measure-hand={vivid ? 'now' : true}
        data-primary={vivid && !open ? true : undefined}
      >
        Measure the {within(state.hand.name)}
      </Button>
      {open && (
        <Distances
          typed={typed.at === state.head ? typed.sizes : {}}
          onType={(sizes) => setTyped({ at: state.head, sizes })}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  );
};

type Distances = { typed: Sizes; onType: (sizes: Sizes) => void; onClose: () => void };

const Distances = ({ typed, onType, onClose }: Distances) => {
  const { state, send } = useBench();
  const { distances, how_to_measure, name } = state.hand;
  const keyed = distances.map((one) => ({ ...one, key: one.point ?? wire }));
  const sizes = Object.fromEntries(keyed.map(({ key }) => [key, lengthTyped(typed[key] ?? '')]));
  const isWrong = keyed.some(({ key }) => isNoSize(typed[key] ?? ''));
  const isReady = !isWrong && keyed.every(({ key }) => sizes[key] !== undefined);
  const log = () => {
    const { [wire]: wire_mm, ...point_mm } = sizes;
    send({ kind: 'hand', body: { wire_mm, point_mm } });
    onClose();
  };
  return (
    <Modal
      open
      onClose={onClose}
      title={`Measure the ${within(name)}`}
      about={how_to_measure}
      cancel="Cancel"
      actions={
        <Button look="vivid" disabled={!isReady} onClick={log} data-primary>
          Log it
        </Button>
      }
    >
      <Grid templateColumns="repeat(auto-fit, minmax({sizes.36}, 1fr))" gap="3">
        {keyed.map(({ key, label, mm }) => (
          <Box key={key}>
            <FieldLabel htmlFor={`hand-${key}`}>
              {label}, {lengthUnit()}
            </FieldLabel>
            <Field
              id={`hand-${key}`}
              name={`hand-${key}`}
              inputMode="decimal"
              autoFocus={key === wire}
              value={typed[key] ?? ''}
              onChange={(event) => onType({ ...typed, [key]: event.target.value })}
              aria-invalid={isNoSize(typed[key] ?? '')}
            />
            <Box textStyle="small" marginTop="1">
              {mm === null ? 'Not known yet' : `So far ${shortLength(mm)}`}
            </Box>
          </Box>
        ))}
      </Grid>
      <Box textStyle="small" marginTop="3">
        They stay on this machine, for this job and the next ones. The spec of the model stays as it is. Play is read
        anew after it.
      </Box>
      {isWrong && (
        <Box textStyle="small" marginTop="2">
          Type a distance, such as 38 or 1 1/2 in.
        </Box>
      )}
    </Modal>
  );
};
