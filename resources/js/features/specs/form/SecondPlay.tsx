import { Grid } from '@chakra-ui/react';
import { Pick } from '../../../components/Entry';
import type { FormProps } from '../SpecEditScreen';
import { SpecEntry } from './SpecEntry';

const readAt = {
  backward: 'Of the closing cable, read with the grip pushed past its rest',
  secondary: 'Of the cable behind the governor, read at the carburettor barrel',
} as const;

/** The play of the second cable, where the control has one. */
export const SecondPlay = ({ draft, set }: FormProps) => {
  const { second } = draft;
  if (second === null) return null;
  return (
    <>
      {readAt[second.key]}.
      <Grid templateColumns={{ base: '1fr 1fr', md: '{sizes.32} {sizes.32} {sizes.48}' }} gap="3" marginTop="2">
        <SpecEntry
          label="Least"
          unit="mm"
          value={second.low}
          onChange={(low) => set({ second: { ...second, low } })}
          kind="decimal"
          most={12}
          field="second.low"
          name="second_low"
        />
        <SpecEntry
          label="Most"
          unit="mm"
          value={second.high}
          onChange={(high) => set({ second: { ...second, high } })}
          kind="decimal"
          most={12}
          field="second.high"
          name="second_high"
        />
        <Pick
          label="Which cable is set first"
          value={second.setFirst ? 'second' : 'first'}
          onChange={(which) => set({ second: { ...second, setFirst: which === 'second' } })}
          options={[
            { key: 'first', label: 'The first' },
            { key: 'second', label: 'This one' },
          ]}
        />
      </Grid>
    </>
  );
};
