import { Box } from '@chakra-ui/react';
import type { TraceView } from '../../api/traces';
import { decimals, isInches, MM_PER_INCH, perUnit, unitText } from '../../lib/figures';
import { ticks } from '../../lib/ticks';
import { useWidth } from '../../lib/useWidth';
import { paint } from '../../theme/paint';

const MARGIN = { left: 46, right: 14, top: 30, bottom: 44 };

/** A letter of a phase's name, in pixels, and a row of names. */
const LETTER = 7.4;
const ROW = 17;

type Phase = TraceView['phases'][number];
type Point = readonly number[];
type Scale = { x: (mm: number) => number; y: (newtons: number) => number; right: number; floor: number };

const grounds = {
  free_play: paint.well,
  return_spring: paint['paper.tape'],
  take_up: paint['vivid.wash'],
  working: paint['petrol.pale'],
  plateau: paint['petrol.wash'],
  end_stop: paint['steel.light'],
} as const satisfies Record<Phase['kind'], string>;

const path = (points: readonly Point[], at: Scale): string =>
  points
    .map(([mm = 0, newtons = 0], n) => `${n === 0 ? 'M' : 'L'}${at.x(mm).toFixed(1)} ${at.y(newtons).toFixed(1)}`)
    .join('');

/** Force over travel: pull and release, the phases behind them in words, and earlier pulls of the control, dashed. */
export const TraceChart = ({ view, tall = 420 }: { view: TraceView; tall?: number }) => {
  const [box, width] = useWidth<HTMLDivElement>(800);
  const height = width < 560 ? 320 : tall;
  const far = Math.max(...[view.pull, ...view.earlier.map((one) => one.pull)].flat().map(([mm = 0]) => mm), 1) * 1.02;
  const heavy = Math.max(...view.pull.map(([, newtons = 0]) => newtons), 1) * 1.06;
  const at: Scale = {
    x: (mm) => MARGIN.left + ((width - MARGIN.left - MARGIN.right) * mm) / far,
    y: (newtons) =>
      height - MARGIN.bottom - ((height - MARGIN.top - MARGIN.bottom) * Math.min(newtons, heavy * 1.02)) / heavy,
    right: width - MARGIN.right,
    floor: height - MARGIN.bottom,
  };
  const names = view.phases.map((one) => one.label).join(', ');
  return (
    <Box ref={box} role="img" aria-label={`Force over travel. Phases of the pull: ${names}.`} data-trace-chart>
      <svg width={width} height={height} aria-hidden="true">
        {view.phases.map((phase) => (
          <rect
            key={phase.from_mm}
            x={at.x(phase.from_mm)}
            y={MARGIN.top}
            width={Math.max(0, at.x(phase.to_mm) - at.x(phase.from_mm))}
            height={at.floor - MARGIN.top}
            fill={grounds[phase.kind]}
            data-phase={phase.kind}
          />
        ))}
        <Axes far={far} heavy={heavy} at={at} narrow={width < 560} />
        {view.phases.slice(1).map((phase) => (
          <path
            key={phase.from_mm}
            d={`M${at.x(phase.from_mm)} ${MARGIN.top}V${at.floor}`}
            stroke={paint.ink}
            strokeWidth="1.5"
            strokeDasharray="3 4"
          />
        ))}
        {view.earlier.map((one) => (
          <path
            key={one.trace}
            d={path(one.pull, at)}
            fill="none"
            stroke={one.new_cable ? paint.cantTell : paint['steel.mid']}
            strokeWidth="2"
            strokeDasharray={one.new_cable ? '2 4' : '7 5'}
          />
        ))}
        <path d={path(view.release, at)} fill="none" stroke={paint.inside} strokeWidth="1.8" />
        <path d={path(view.pull, at)} fill="none" stroke={paint.action} strokeWidth="1.8" />
        <Names phases={view.phases} at={at} />
      </svg>
    </Box>
  );
};

const Axes = ({ far, heavy, at, narrow }: { far: number; heavy: number; at: Scale; narrow: boolean }) => {
  const perTravel = isInches() ? MM_PER_INCH : 1;
  const perForce = perUnit('N');
  const forceDigits = unitText('N') === 'N' ? 0 : 1;
  return (
    <>
      {ticks(0, heavy / perForce, narrow ? 4 : 6).map((force) => (
        <g key={force}>
          <path d={`M${MARGIN.left} ${at.y(force * perForce)}H${at.right}`} stroke={paint['steel.mid']} opacity="0.4" />
          <text x={MARGIN.left - 7} y={at.y(force * perForce) + 5} textAnchor="end" fontSize="13" fill={paint.soft}>
            {decimals(force, forceDigits)}
          </text>
        </g>
      ))}
      {ticks(0, far / perTravel, narrow ? 4 : 7).map((travel) => (
        <text
          key={travel}
          x={at.x(travel * perTravel)}
          y={at.floor + 18}
          textAnchor="middle"
          fontSize="13"
          fill={paint.soft}
        >
          {decimals(travel, isInches() ? 1 : 0)}
        </text>
      ))}
      <text x={MARGIN.left - 7} y={14} textAnchor="end" fontSize="13" fill={paint.soft}>
        {unitText('N')}
      </text>
      <text x={at.right} y={at.floor + 38} textAnchor="end" fontSize="13" fill={paint.soft}>
        {isInches() ? 'in' : 'mm'} from rest
      </text>
    </>
  );
};

/** Each name over its phase; where it has no room beside its neighbour it stands a row lower. */
const Names = ({ phases, at }: { phases: readonly Phase[]; at: Scale }) => {
  const ends: number[] = [];
  return (
    <>
      {phases.map((phase) => {
        const wide = phase.label.length * LETTER;
        const middle = (at.x(phase.from_mm) + at.x(phase.to_mm)) / 2;
        const left = Math.min(Math.max(middle - wide / 2, MARGIN.left), at.right - wide);
        const free = ends.findIndex((end) => end + 8 <= left);
        const row = free === -1 ? ends.length : free;
        ends[row] = left + wide;
        return (
          <text
            key={phase.from_mm}
            x={left}
            y={MARGIN.top + 16 + row * ROW}
            fontSize="14"
            fontWeight="bold"
            fill={paint.ink}
            stroke={paint.sheet}
            strokeWidth="3"
            paintOrder="stroke"
          >
            {phase.label}
          </text>
        );
      })}
    </>
  );
};
