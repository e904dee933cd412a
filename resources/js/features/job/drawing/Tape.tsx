import { Box, Flex, Heading } from '@chakra-ui/react';
import type { BenchState, Judged, Option } from '../../../api/jobs';
import { Sheet } from '../../../components/Buttons';
import { VerdictChip } from '../../../components/VerdictChip';
import { bandText, decimals, lengthText, lengthUnit, withUncertainty } from '../../../lib/figures';
import { useWidth } from '../../../lib/useWidth';
import { useBench } from '../useBench';
import {
  Band,
  EDGE,
  Found,
  HEIGHT,
  Now,
  Predicted,
  type Prediction,
  Scale,
  TornTape,
  ticks,
  WorkingBand,
} from './TapeMarks';
import { specLabel } from './tapeLabels';

function reach(state: BenchState, next: number | null): number {
  const { band } = state.spec;
  const seen = [band.low_mm, band.high_mm, state.found.mm, state.now.mm, next].filter(
    (value): value is number => value !== null,
  );
  const most = Math.max(...seen, 1) * 1.18;
  const { large } = ticks(most);
  return Math.ceil(most / large) * large;
}

/** The strip of masking tape: band, found, now with its uncertainty, and where the next move should land. */
export const Tape = () => {
  const { state, option } = useBench();
  const [box, width] = useWidth<HTMLDivElement>(640);
  const { band } = state.spec;
  const next = predicted(state, option);
  const most = reach(state, next?.mm ?? null);
  const x = (value: number) => EDGE + ((width - 2 * EDGE) * Math.min(value, most)) / most;
  const from = x(band.low_mm ?? 0);
  const to = band.high_mm === null ? width - EDGE : x(band.high_mm);
  const { found, now } = state;
  // As it was found and was not changed since, one mark says both.
  const changed = state.adjusters.some((adjuster) => adjuster.touched) || now.mm !== found.mm;
  const foundAt = found.mm === null ? null : x(found.mm);
  const nowAt = changed && now.mm !== null ? x(now.mm) : null;
  const label = specLabel(from, to, foundAt, width);
  return (
    <Sheet padding="3" aria-label="Tape">
      <Flex justifyContent="space-between" alignItems="center" gap="3" flexWrap="wrap" marginBottom="1">
        <Flex alignItems="baseline" gap="3" minWidth="0" flexWrap="wrap">
          <Heading as="h2" fontSize="lg" display={{ base: 'none', md: 'block' }}>
            Tape
          </Heading>
          <Said judged={now} />
        </Flex>
        <VerdictChip judged={now} />
      </Flex>
      <Box ref={box} role="img" aria-label={spoken(state, next?.mm ?? null)}>
        <svg width={width} height={HEIGHT} aria-hidden="true">
          <TornTape width={width} />
          <Band from={from} to={to} band={band} label={label} />
          <Scale x={x} most={most} />
          <WorkingBand x={x} spec={label} found={foundAt} width={width} />
          {foundAt !== null && <Found at={foundAt} judged={found} x={x} width={width} />}
          {nowAt !== null && now.mm !== null && (
            <Now judged={now} mm={now.mm} x={x} next={next === null ? null : x(next.mm)} width={width} />
          )}
          {next !== null && <Predicted x={x} next={next} found={foundAt} now={nowAt} bandFrom={from} width={width} />}
        </svg>
      </Box>
      {now.advice !== null && (
        <Box fontSize="sm" fontWeight="bold" lineHeight="snug" marginTop="1">
          {now.advice}
        </Box>
      )}
    </Sheet>
  );
};

/** Where the next reading should fall: after the move shown, or after the one that was just made. */
function predicted(state: BenchState, option: Option | null): Prediction | null {
  if (state.expected !== null) return { ...state.expected, word: 'expected' };
  const shows = state.next.kind === 'move' && option?.expected_mm != null;
  return shows && option?.expected_mm != null
    ? { mm: option.expected_mm, low_mm: option.low_mm, high_mm: option.high_mm, word: 'next' }
    : null;
}

/** The figure in full: how sure, from how many, with what. */
const Said = ({ judged }: { judged: Judged }) => {
  const { state } = useBench();
  if (judged.mm === null)
    return (
      <Box textStyle="small">
        {lengthUnit()} at the {state.spec.point_label}
      </Box>
    );
  const chance = judged.chance_inside === null ? null : chanceWords(judged.chance_inside);
  return (
    <Box fontSize="sm" lineHeight="snug">
      <Box as="span" textStyle="figure" fontSize="md">
        {withUncertainty(judged.mm, judged.expanded_mm)} {lengthUnit()}
      </Box>
      <Box as="span" color="soft" display={{ base: 'none', md: 'inline' }}>
        {' '}
        from {judged.count === 1 ? 'one reading' : `${judged.count} readings`}, {judged.instrument?.toLowerCase()}
        {chance !== null && ` · ${chance}`}
      </Box>
    </Box>
  );
};

const chanceWords = (chance: number) =>
  chance > 0.9995
    ? 'certainly inside'
    : chance < 0.0005
      ? 'certainly not inside'
      : `${decimals(chance * 100, chance > 0.99 || chance < 0.01 ? 1 : 0)} % chance of inside`;

const spoken = (state: BenchState, next: number | null): string =>
  [
    `Band ${bandText(state.spec.band)} ${lengthUnit()}`,
    state.found.mm === null ? 'not read yet' : `found ${lengthText(state.found.mm)}, ${state.found.sentence}`,
    state.now.mm === null ? '' : `now ${lengthText(state.now.mm)}, ${state.now.sentence}`,
    next === null ? '' : `next expected ${lengthText(next)}`,
  ]
    .filter(Boolean)
    .join('; ');
