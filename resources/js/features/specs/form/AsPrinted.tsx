import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect } from 'react';
import { keys } from '../../../api/keys';
import { readPrinted } from '../../../api/specs';
import { Checked } from '../../../components/Checked';
import { Pick } from '../../../components/Entry';
import { Mark } from '../../../components/Marks';
import { MiniTape } from '../../../components/MiniTape';
import { Refusal } from '../../../components/Refusal';
import { bandText, heldMm, lengthUnit } from '../../../lib/figures';
import { hasFigure } from '../draft';
import type { FormProps } from '../SpecEditScreen';
import { points } from '../words';
import { SpecEntry } from './SpecEntry';

/** The figure as it stands in print. The server reads it, and says where its two units disagree. */
export const AsPrinted = ({ draft, set, first }: FormProps & { first: boolean }) => {
  const printed = useDeferredValue(draft.printed.trim());
  const { data, error } = useQuery({
    queryKey: keys.printed(printed),
    queryFn: () => readPrinted(printed),
    enabled: printed !== '',
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const [low, high] = [data?.low_mm ?? null, data?.high_mm ?? null];
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new reading of the print fills the figures in
  useEffect(() => {
    if (data !== undefined) set({ low: low === null ? '' : String(low), high: high === null ? '' : String(high) });
  }, [data, low, high]);
  const isPlayless = draft.tables.length > 0 && !hasFigure(draft);
  const band = { low_mm: heldMm(draft.low), high_mm: heldMm(draft.high) };
  return (
    <Box>
      <Grid templateColumns={{ base: '1fr', md: '1fr {sizes.72}' }} columnGap="4" rowGap="2" alignItems="end">
        <SpecEntry
          label="As it is printed"
          value={draft.printed}
          onChange={(value) => set({ printed: value, despite: false })}
          most={120}
          field="printed"
          name="printed"
          autoFocus={first}
          look="figure"
          hint={
            isPlayless
              ? 'What it does at its settings decides. Write a figure here only where the book has one as well.'
              : lengthUnit() === 'mm'
                ? 'The whole line: 10 - 20 mm (0.39 - 0.79 in), 2.0 ± 0.5 mm, zero to 1/16 in, a nickel'
                : 'The whole line: 0.39 - 0.79 in, 1/8 to 1/4 inch, zero to 1/16, a nickel'
          }
        />
        {(band.low_mm !== null || band.high_mm !== null) && (
          <Box paddingBottom="1" data-band-read>
            <MiniTape width={280} band={band} found={null} now={null} left={null} />
            <b>
              {bandText(band)} {lengthUnit()}
            </b>
          </Box>
        )}
      </Grid>
      {printed !== '' && error !== null && <Refusal error={error} />}
      {data !== undefined && data.disagreements.length > 0 && (
        <Disagreement says={data.disagreements} despite={draft.despite} onDespite={(despite) => set({ despite })} />
      )}
      {!isPlayless && (
        <Grid templateColumns={{ base: '1fr 1fr', md: '{sizes.32} {sizes.32} 1fr' }} gap="3" marginTop="3">
          <SpecEntry
            label="Least"
            unit="mm"
            value={draft.low}
            onChange={(value) => set({ low: value })}
            kind="decimal"
            most={12}
            field="low"
            name="low"
          />
          <SpecEntry
            label="Most"
            unit="mm"
            value={draft.high}
            onChange={(value) => set({ high: value })}
            kind="decimal"
            most={12}
            field="high"
            name="high"
          />
          <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
            <Pick
              label="Read at"
              value={draft.point}
              onChange={(point) => set({ point })}
              options={points}
              name="point"
            />
          </Box>
        </Grid>
      )}
    </Box>
  );
};

type DisagreementProps = { says: readonly string[]; despite: boolean; onDespite: (despite: boolean) => void };

const Disagreement = ({ says, despite, onDespite }: DisagreementProps) => (
  <Box bg="amber.wash" borderRadius="sm" padding="3" marginTop="3" role="alert" data-disagreement>
    <Flex gap="2" alignItems="center" marginBottom="1">
      <Mark kind="found" />
      <b>Its two units disagree</b>
    </Flex>
    {says.map((one) => (
      <Box key={one}>{one}</Box>
    ))}
    <Checked mark="despite" checked={despite} onChange={onDespite}>
      I looked again: the book itself says so. The first figure counts.
    </Checked>
  </Box>
);
