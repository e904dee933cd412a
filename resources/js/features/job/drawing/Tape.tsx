import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import type { BenchState, Judged } from '../../../api/jobs';
import { Sheet } from '../../../components/Buttons';
import { MarkShape } from '../../../components/Marks';
import { VerdictChip } from '../../../components/VerdictChip';
import { bandText, mm, trimmed, withUncertainty } from '../../../lib/figures';
import { useWidth } from '../../../lib/useWidth';
import { useBench } from '../useBench';

const TOP = 26;
const BAND_HEIGHT = 46;
const HEIGHT = TOP + BAND_HEIGHT + 28;
const EDGE = 14;

/** Ticks a person can count: ones, twos or fives, with a figure at every fifth or so. */
function ticks(most: number): { small: number; large: number } {
  if (most <= 4) return { small: 0.2, large: 1 };
  if (most <= 12) return { small: 0.5, large: 1 };
  if (most <= 40) return { small: 1, large: 5 };
  return { small: 5, large: 20 };
}

const steps = (step: number, most: number) => Array.from({ length: Math.floor(most / step + 1e-9) + 1 }, (_, n) => n * step);

function reach(state: BenchState, next: number | null): number {
  const { band } = state.spec;
  const seen = [band.low_mm, band.high_mm, state.found.mm, state.now.mm, next].filter((value): value is number => value !== null);
  const most = Math.max(...seen, 1) * 1.18;
  const { large } = ticks(most);
  return Math.ceil(most / large) * large;
}

/** The strip of masking tape: band, found, now with its uncertainty, and where the next move should land. */
export const Tape = () => {
  const { state, option } = useBench();
  const [box, width] = useWidth<HTMLDivElement>(640);
  const { band } = state.spec;
  const shows = state.next.kind === 'move' || state.next.kind === 'decide';
  const next = shows ? (option?.expected_mm ?? null) : null;
  const most = reach(state, next);
  const x = (value: number) => EDGE + ((width - 2 * EDGE) * Math.min(value, most)) / most;
  const { small, large } = ticks(most);
  const from = x(band.low_mm ?? 0);
  const to = band.high_mm === null ? width - EDGE : x(band.high_mm);
  const { found, now } = state;
  const moved = now.mm !== null && found.mm !== null && (state.way_home.length > 0 || now.mm !== found.mm);
  const judged = now.verdict === 'unread' && found.verdict !== 'unread' && state.way_home.length === 0 ? found : now;
  return (
    <Sheet padding="3" aria-label="Tape">
      <Flex justifyContent="space-between" alignItems="center" gap="3" flexWrap="wrap" marginBottom="1">
        <Flex alignItems="baseline" gap="3">
          <Heading as="h2" fontSize="lg">
            Tape
          </Heading>
          <Box textStyle="small">mm at the {state.spec.point_label}</Box>
        </Flex>
        <VerdictChip judged={judged} />
      </Flex>
      <Box ref={box} role="img" aria-label={spoken(state, next)}>
        <svg width={width} height={HEIGHT} aria-hidden="true">
          <TornTape width={width} />
          <chakra.rect x={from} y={TOP} width={Math.max(0, to - from)} height={BAND_HEIGHT} fill="petrol.wash" />
          <Hatch from={from} to={to} />
          {steps(small, most).map((value) => {
            const long = Math.abs(value / large - Math.round(value / large)) < 1e-6;
            return <chakra.path key={value} d={`M${x(value)} ${TOP + BAND_HEIGHT}v${long ? -17 : -9}`} stroke="ink" strokeWidth={long ? 1.6 : 1} opacity={long ? 1 : 0.55} />;
          })}
          {steps(large, most).map((value) => (
            <chakra.text key={value} x={x(value)} y={HEIGHT - 8} textAnchor="middle" fontSize="14" fill="ink">
              {trimmed(value)}
            </chakra.text>
          ))}
          {band.low_mm !== null && <chakra.path d={`M${from} ${TOP - 5}V${TOP + BAND_HEIGHT + 5}`} stroke="inside" strokeWidth="3" />}
          {band.high_mm !== null && <chakra.path d={`M${to} ${TOP - 5}V${TOP + BAND_HEIGHT + 5}`} stroke="inside" strokeWidth="3" />}
          <chakra.text x={from + 4} y={TOP - 9} fontSize="14" fontWeight="bold" fill="petrol.text">
            spec {bandText(band)}
          </chakra.text>
          <WorkingBand x={x} />
          {found.mm !== null && <Reading kind={moved ? 'found' : 'now'} judged={found} x={x} word={moved ? 'found' : 'found'} raised={moved} width={width} clear={to} />}
          {moved && <Reading kind="now" judged={now} x={x} word="now" raised={false} width={width} clear={to} />}
          {next !== null && <Predicted x={x} value={next} low={option?.low_mm ?? null} high={option?.high_mm ?? null} from={moved ? now.mm : found.mm} />}
        </svg>
      </Box>
      <Said judged={judged} />
    </Sheet>
  );
};

/** The figure in full, and what would decide it where it can't be told. */
const Said = ({ judged }: { judged: Judged }) => {
  if (judged.mm === null) return null;
  const chance = judged.chance_inside === null ? null : chanceWords(judged.chance_inside);
  return (
    <Box fontSize="sm" lineHeight="snug" marginTop="1">
      <Box as="span" textStyle="figure" fontSize="md">
        {withUncertainty(judged.mm, judged.expanded_mm)} mm
      </Box>{' '}
      from {judged.count === 1 ? 'one reading' : `${judged.count} readings`}, {judged.instrument?.toLowerCase()}
      {chance !== null && ` · ${chance}`}
      {judged.advice !== null && (
        <Box fontWeight="bold" marginTop="1">
          {judged.advice}
        </Box>
      )}
    </Box>
  );
};

const chanceWords = (chance: number) =>
  chance > 0.9995 ? 'certainly inside' : chance < 0.0005 ? 'certainly not inside' : `${(chance * 100).toFixed(chance > 0.99 || chance < 0.01 ? 1 : 0)} % chance of inside`;

const spoken = (state: BenchState, next: number | null): string =>
  [
    `Band ${bandText(state.spec.band)} mm`,
    state.found.mm === null ? 'not read yet' : `found ${mm(state.found.mm)}, ${state.found.sentence}`,
    state.now.mm === null ? '' : `now ${mm(state.now.mm)}, ${state.now.sentence}`,
    next === null ? '' : `next expected ${mm(next)}`,
  ]
    .filter(Boolean)
    .join('; ');

const TornTape = ({ width }: { width: number }) => {
  const teeth = [0, 0.18, 0.36, 0.55, 0.74, 0.9, 1].map((share, n) => [n % 2 === 0 ? 0 : 4, TOP + share * BAND_HEIGHT] as const);
  const left = teeth.map(([dx, y]) => `${2 + dx} ${y}`);
  const right = [...teeth].reverse().map(([dx, y]) => `${width - 2 - dx} ${y}`);
  return <chakra.path d={`M${left.join('L')}L${right.join('L')}Z`} fill="paper.tape" stroke="paper.tapeEdge" />;
};

const Hatch = ({ from, to }: { from: number; to: number }) => {
  const lines = [];
  for (let x = from - BAND_HEIGHT; x < to; x += 11) {
    const [x1, x2] = [Math.max(from, x), Math.min(to, x + BAND_HEIGHT)];
    if (x2 > x1) lines.push(`M${x1} ${TOP + BAND_HEIGHT - (x1 - x)}L${x2} ${TOP + BAND_HEIGHT - (x2 - x)}`);
  }
  return <chakra.path d={lines.join('')} stroke="inside" strokeWidth="1" opacity="0.28" />;
};

/** The part of the band that the straight pose must keep, so that every pose stays inside. */
const WorkingBand = ({ x }: { x: (value: number) => number }) => {
  const { state } = useBench();
  const working = state.working_band;
  const { band } = state.spec;
  if (working === null || (working.low_mm === band.low_mm && working.high_mm === band.high_mm)) return null;
  const from = x(working.low_mm ?? 0);
  const to = working.high_mm === null ? x(band.high_mm ?? 0) : x(working.high_mm);
  return (
    <g>
      <chakra.path d={`M${from} ${TOP + 3}v6M${to} ${TOP + 3}v6M${from} ${TOP + 6}H${to}`} stroke="petrol.text" strokeWidth="2" fill="none" />
      {to - from > 110 && (
        <chakra.text x={(from + to) / 2} y={TOP + 20} fontSize="12" textAnchor="middle" fill="petrol.text">
          bars straight
        </chakra.text>
      )}
    </g>
  );
};

type ReadingProps = { kind: 'found' | 'now'; judged: Judged; x: (value: number) => number; word: string; raised: boolean; width: number; clear: number };

const Reading = ({ kind, judged, x, word, raised, width, clear }: ReadingProps) => {
  if (judged.mm === null) return null;
  const at = x(judged.mm);
  const half = judged.expanded_mm === null ? 0 : x(judged.expanded_mm) - x(0);
  const y = TOP + (raised ? 12 : 24);
  const text = `${word} ${mm(judged.mm)}`;
  const anchor = at > width - 90 ? 'end' : at < 60 ? 'start' : 'middle';
  return (
    <g data-tape={kind}>
      {half > 0 && <chakra.rect x={at - half} y={y - 5} width={2 * half} height="10" fill={kind === 'found' ? 'found' : 'ink'} opacity="0.25" />}
      <g transform={`translate(${at} ${y})`}>
        <MarkShape kind={kind} r={7} />
      </g>
      <chakra.text
        x={raised ? at : at + 14}
        y={raised ? TOP - 9 : y + 5}
        textAnchor={raised ? anchor : 'start'}
        fontSize="14"
        fontWeight="bold"
        fill="ink"
        display={raised && at < clear - 4 && at - 40 < 90 ? 'none' : undefined}
        stroke="paper.tape"
        strokeWidth={raised ? 0 : 3}
        paintOrder="stroke"
      >
        {text}
      </chakra.text>
    </g>
  );
};

const Predicted = ({ x, value, low, high, from }: { x: (value: number) => number; value: number; low: number | null; high: number | null; from: number | null }) => {
  const at = x(value);
  const y = TOP + BAND_HEIGHT / 2 + 1;
  const start = from === null ? null : x(from);
  const away = start === null ? 1 : Math.sign(at - start);
  return (
    <g data-tape="next">
      {start !== null && Math.abs(at - start) > 26 && (
        <chakra.path d={`M${start + away * 11} ${TOP + BAND_HEIGHT + 20}H${at}m${-away * 8} -5l${away * 8} 5l${-away * 8} 5`} stroke="action" strokeWidth="2" fill="none" transform="translate(0 -8)" opacity="0" />
      )}
      {low !== null && high !== null && <chakra.path d={`M${x(low)} ${y}H${x(high)}M${x(low)} ${y - 4}v8M${x(high)} ${y - 4}v8`} stroke="action" strokeWidth="2" fill="none" />}
      <g transform={`translate(${at} ${y})`}>
        <MarkShape kind="next" r={8} />
      </g>
      <chakra.text x={at - 13} y={y + 16} textAnchor="end" fontSize="14" fontWeight="bold" fill="ink" stroke="paper.tape" strokeWidth="3" paintOrder="stroke">
        next {mm(value)}
      </chakra.text>
    </g>
  );
};
