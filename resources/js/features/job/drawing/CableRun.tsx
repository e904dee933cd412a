import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMemo } from 'react';
import type { Adjuster, BenchState } from '../../../api/jobs';
import { Button, Sheet } from '../../../components/Buttons';
import { capital } from '../../../lib/capital';
import { lengthText, lengthUnit } from '../../../lib/figures';
import { useWidth } from '../../../lib/useWidth';
import { paint } from '../../../theme/paint';
import { useBench } from '../useBench';
import { AdjusterDrawing } from './AdjusterDrawing';
import { AdjusterGauge } from './AdjusterGauge';
import { hands, workingEnd } from './EndDrawings';
import { partLength } from './parts';
import { type Slot, THREAD_SCALE } from './scale';

const HEIGHT = 128;
const HAND = 176;
const END = 102;
const NARROWEST = 600;
const LEVEL = 44;
const WAVE = [LEVEL, 30, 60, LEVEL] as const;

/** Where each adjuster begins: one column each between hand and working end. */
function slots(adjusters: readonly Adjuster[], width: number): readonly Slot[] {
  const column = (width - HAND - END) / Math.max(1, adjusters.length);
  return adjusters.map((adjuster, n) => ({
    x:
      HAND +
      column * n +
      (n === 0 && adjuster.kind === 'barrel' ? 0 : Math.max(10, (column - partLength(adjuster)) / 2)),
    // The last one lies level with the working end, so that the wire runs straight into it.
    y: n === adjusters.length - 1 && n > 0 ? LEVEL : (WAVE[n % WAVE.length] ?? LEVEL),
  }));
}

/** Where the wire leaves its conduit at the adjuster and runs bare to the working end. */
const bareWire: readonly string[] = ['bracket_nuts', 'pinch_clamp', 'hook_holes', 'push_rod_a', 'push_rod_b'];

const bend = (from: Slot, to: Slot) => {
  const half = (to.x - from.x) / 2;
  return `M${from.x} ${from.y}C${from.x + half} ${from.y} ${to.x - half} ${to.y} ${to.x} ${to.y}`;
};

/** The run from hand to working end, drawn from the machine's own figures; threads to one scale. */
export const CableRun = () => {
  const { state: whole, item } = useBench();
  const second = item?.is_second === true && whole.pair !== null;
  // Of two cables, the one that is being set is drawn; the other is a run of its own.
  const state = useMemo(
    () => ({
      ...whole,
      adjusters: whole.adjusters.filter((one) => whole.pair === null || (one.pulls !== 'opening') === second),
    }),
    [whole, second],
  );
  const [box, width] = useWidth<HTMLDivElement>(720);
  return (
    <Sheet padding="3" aria-label="Cable run">
      <Flex justifyContent="space-between" alignItems="baseline" gap="3">
        <Heading as="h2" fontSize="lg">
          {whole.pair === null ? 'Cable run' : cased(second ? whole.second_label : whole.first_label)}
        </Heading>
        {whole.pair !== null && <OtherCable second={second} name={second ? whole.first_label : whole.second_label} />}
        <Box textStyle="small">
          <Learned state={state} />
        </Box>
      </Flex>
      <Box ref={box}>
        <Drawing state={state} width={Math.max(NARROWEST, width)} />
      </Box>
      <Grid
        templateColumns={{
          base: '1fr',
          md: `${HAND}px repeat(${state.adjusters.length}, 1fr) minmax({sizes.21}, auto)`,
        }}
        gap="2"
        alignItems="start"
      >
        <PlayNow state={state} />
        {state.adjusters.map((adjuster) => (
          <AdjusterGauge key={adjuster.id} adjuster={adjuster} />
        ))}
        <Box textStyle="small" textAlign="right" display={{ base: 'none', md: 'block' }}>
          {state.working_end}
        </Box>
      </Grid>
    </Sheet>
  );
};

const cased = (text: string | null) => capital(text ?? '');

/** The way to the other cable of the pair. */
const OtherCable = ({ second, name }: { second: boolean; name: string | null }) => {
  const { turnTo } = useBench();
  return (
    <Button
      look="link"
      minHeight="7"
      paddingInline="0"
      onClick={() => turnTo(second ? 'in_band' : 'in_band:second')}
      data-other-cable
    >
      To the {name}
    </Button>
  );
};

/** What this machine taught so far, as a person would say it; until then, what the drawing is. */
const Learned = ({ state }: { state: BenchState }) => {
  const { adjuster } = useBench();
  const step = state.learned.per_step.find((one) => one.adjuster === adjuster?.id);
  if (state.spec.point === null) return state.family.title;
  if (!state.learned.taught && state.learned.machines > 0)
    return `expected from ${state.learned.machines === 1 ? 'one machine' : `${state.learned.machines} machines`} like this one`;
  if (!state.learned.taught || step === undefined) return 'adjusters to scale, the rest is not';
  return `learned here: ${lengthText(Math.abs(step.mm))} ${lengthUnit()} a ${step.unit} of the ${adjuster?.name}, ± ${lengthText(step.expanded_mm)}, from ${state.learned.moves === 1 ? 'one move' : `${state.learned.moves} moves`}`;
};

const Drawing = ({ state, width }: { state: BenchState; width: number }) => {
  const { adjuster: chosen, option } = useBench();
  const rows = [...new Set(state.adjusters.map((one) => one.cable))];
  if (rows.length > 1) return <Abreast state={state} rows={rows} width={width} />;
  const at = slots(state.adjusters, width);
  const end: Slot = { x: width - END + 44, y: LEVEL };
  const play = state.now.mm ?? state.found.mm;
  const share = play === null ? 0.4 : play / Math.max(1, (state.spec.band.high_mm ?? play) * 1.4);
  const Hand = hands[state.hand.kind];
  const Working = workingEnd(state.working_end);
  const first = state.adjusters[0];
  const starts: Slot = { x: HAND - 44, y: LEVEL };
  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT}`} width="100%" role="img" aria-label={spoken(state)}>
      <g transform="translate(8 30)">
        <Hand share={share} />
      </g>
      {first === undefined && state.working_end !== 'centrifugal clutch' && (
        <Conduit d={bend({ x: starts.x - 8, y: 27 }, { x: end.x - 40, y: end.y })} />
      )}
      {first !== undefined && at[0] !== undefined && (
        <FirstPiece direct={first.kind === 'barrel'} from={starts} to={at[0]} />
      )}
      {state.adjusters.map((adjuster, n) => {
        const from = { x: (at[n]?.x ?? 0) + partLength(adjuster) - 2, y: at[n]?.y ?? 0 };
        const next = at[n + 1];
        if (next !== undefined) return <Conduit key={adjuster.id} d={bend(from, { x: next.x + 2, y: next.y })} />;
        return bareWire.includes(adjuster.kind) ? (
          <path
            key={adjuster.id}
            d={`M${from.x} ${from.y}L${end.x - 40} ${end.y}`}
            stroke={paint.action}
            strokeWidth="3"
          />
        ) : (
          <Conduit key={adjuster.id} d={bend(from, { x: end.x - 40, y: end.y })} />
        );
      })}
      {state.adjusters.map((adjuster, n) => (
        <g key={adjuster.id} color="ink" transform={`translate(${at[n]?.x ?? 0} ${at[n]?.y ?? 0})`}>
          <AdjusterDrawing
            adjuster={adjuster}
            chosen={adjuster.id === chosen?.id && option?.steps != null && state.next.kind === 'move'}
            ghost={ghostOf(adjuster, chosen, option?.grows_mm ?? null, state)}
          />
        </g>
      ))}
      <g transform={`translate(${end.x} ${end.y})`}>
        <Working />
      </g>
    </svg>
  );
};

const ROW = 42;

/** Several cables that meet at one arm, side by side, each with its own adjuster. */
const Abreast = ({ state, rows, width }: { state: BenchState; rows: readonly string[]; width: number }) => {
  const { adjuster: chosen } = useBench();
  const Hand = hands[state.hand.kind];
  const Working = workingEnd(state.working_end);
  const end: Slot = { x: width - END + 44, y: LEVEL + ROW / 2 + 8 };
  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT + 26}`} width="100%" role="img" aria-label={spoken(state)}>
      <g transform="translate(8 52)">
        <Hand share={0.4} />
      </g>
      {rows.map((row, n) => {
        const y = 32 + n * ROW;
        const adjuster = state.adjusters.find((one) => one.cable === row);
        if (adjuster === undefined) return null;
        const x = HAND + 30 + ((width - HAND - END) * n) / (rows.length + 0.6);
        const after = { x: x + partLength(adjuster) - 2, y };
        return (
          <g key={row}>
            <Conduit d={bend({ x: HAND - 44, y: 60 + n * 8 }, { x: x + 2, y })} />
            <Conduit d={bend(after, { x: end.x - 46, y: end.y - 8 + n * 8 })} />
            <path d={`M${end.x - 46} ${end.y - 8 + n * 8}L${end.x} ${end.y}`} stroke={paint.action} strokeWidth="3" />
            <g color="ink" transform={`translate(${x} ${y})`}>
              <AdjusterDrawing adjuster={adjuster} chosen={adjuster.id === chosen?.id} ghost={null} />
            </g>
          </g>
        );
      })}
      <g transform={`translate(${end.x} ${end.y})`}>
        <Working />
      </g>
    </svg>
  );
};

/** How far the chosen adjuster would come out with the next move, in drawing units. */
const ghostOf = (
  adjuster: Adjuster,
  chosen: Adjuster | null,
  grows: number | null,
  state: BenchState,
): number | null =>
  adjuster.id !== chosen?.id || grows === null || adjuster.at_mm === null || state.next.kind !== 'move'
    ? null
    : grows * THREAD_SCALE;

const FirstPiece = ({ direct, from, to }: { direct: boolean; from: Slot; to: Slot }) =>
  direct ? (
    <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} stroke={paint.action} strokeWidth="3" />
  ) : (
    <>
      <path d={`M${from.x - 34} 27L${from.x + 4} 27`} stroke={paint.action} strokeWidth="3" />
      <Conduit d={bend({ x: from.x + 2, y: 27 }, { x: to.x + 2, y: to.y })} />
      <rect x={from.x - 4} y="17" width="12" height="20" rx="3" fill={paint['steel.mid']} stroke={paint.ink} />
    </>
  );

const Conduit = ({ d }: { d: string }) => (
  <g fill="none" strokeLinecap="round">
    <path d={d} stroke={paint['graphite.ink']} strokeWidth="11" />
    <path d={d} stroke={paint['graphite.edge']} strokeWidth="7" />
    <path d={d} stroke={paint['steel.mid']} strokeWidth="1.5" transform="translate(0 -2.5)" opacity="0.7" />
  </g>
);

const PlayNow = ({ state }: { state: BenchState }) => {
  if (state.spec.point === null) return <Box textStyle="small">{state.hand.name}</Box>;
  const shown = state.now.mm ?? state.found.mm;
  const older = state.now.mm === null && state.found.mm !== null;
  return (
    <Box>
      <Box textStyle="figure" fontSize="2xl">
        {shown === null ? '–' : lengthText(shown)}{' '}
        <Box as="span" fontSize="md">
          {lengthUnit()}
        </Box>
      </Box>
      <Box textStyle="small">
        {older ? 'found; not read since' : shown === null ? 'not read yet' : `play at the ${state.spec.point_label}`}
      </Box>
    </Box>
  );
};

const spoken = (state: BenchState): string => {
  const threads = state.adjusters.map(
    (adjuster) =>
      `${adjuster.name} ${adjuster.sets === 'play' ? (adjuster.at_say ?? 'not measured') : adjuster.kind_label}`,
  );
  return `${state.hand.name}, ${threads.join(', ')}, ${state.working_end}`;
};
