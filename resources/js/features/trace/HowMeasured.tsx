import { Box, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import type { BenchState, PointKey } from '../../api/jobs';
import type { Measured } from '../../api/traces';
import { Field, FieldLabel, Sheet } from '../../components/Buttons';
import { Checked } from '../../components/Checked';
import { Select } from '../../components/Select';
import { decimals, heldMm, isInches, lengthUnit, MM_PER_INCH, sizeTyped } from '../../lib/figures';

type Props = { state: BenchState; how: Measured; onChange: (how: Measured) => void; asksReach: boolean };

/** Where and with what the pull was measured: what the curve is worth hangs on it. */
export const HowMeasured = ({ state, how, onChange, asksReach }: Props) => {
  const set = (some: Partial<Measured>) => onChange({ ...how, ...some });
  return (
    <Sheet padding="4" aria-label="How it was measured">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        How it was measured
      </Heading>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="3" alignItems="end">
        <Box>
          <FieldLabel as="div">Travel at</FieldLabel>
          <Select
            beside
            says="Where the travel was measured"
            pick="point"
            value={how.point}
            options={state.spec.points.map((one) => ({ key: one.key, label: one.label }))}
            onPick={(key) => set({ point: key as PointKey })}
          />
        </Box>
        <Box>
          <FieldLabel as="div">With</FieldLabel>
          <Select
            beside
            says="With what the travel was measured"
            pick="instrument"
            value={how.instrument}
            options={[
              { key: '', label: 'a gauge that is not on the shelf' },
              ...state.shelf.map((one) => ({ key: one.id, label: one.name })),
            ]}
            onPick={(instrument) => set({ instrument })}
          />
        </Box>
        {asksReach && (
          <Size
            name="reach"
            says={`Pulled over how many ${lengthUnit()}`}
            held={how.reach_mm}
            onHeld={(reach_mm) => set({ reach_mm })}
          />
        )}
        <Size
          name="at"
          says={`Force gauge, ${lengthUnit()} from the pivot`}
          held={how.at_mm}
          onHeld={(at_mm) => set({ at_mm })}
        />
        <Checked checked={how.to_stop} onChange={(to_stop) => set({ to_stop })} mark="to-stop">
          Pulled as far as it goes
        </Checked>
      </Grid>
    </Sheet>
  );
};

type SizeProps = { name: string; says: string; held: string; onHeld: (held: string) => void };

/** Taken when it is left, so that half a figure asks nothing of the server. */
const Size = ({ name, says, held, onHeld }: SizeProps) => {
  const shown = held === '' ? '' : decimals(Number(held) / (isInches() ? MM_PER_INCH : 1), isInches() ? 2 : 0);
  const [typed, setTyped] = useState(shown);
  const take = () => {
    const mm = typed.trim() === '' ? null : heldMm(sizeTyped(typed, 'mm'));
    onHeld(mm === null ? '' : String(mm));
    if (mm === null) setTyped('');
  };
  return (
    <Box>
      <FieldLabel htmlFor={name}>{says}</FieldLabel>
      <Field
        id={name}
        inputMode="decimal"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        placeholder="not said"
        width="100%"
      />
    </Box>
  );
};
