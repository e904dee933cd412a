import type { Adjuster } from '../../../api/jobs';
import { paint } from '../../../theme/paint';
import { THREAD_SCALE } from './scale';

const UNKNOWN = 12;

/** Length of thread as it is drawn: to scale where it is known, a short dashed piece where it is not. */
export const threadLength = (adjuster: Adjuster) => (adjuster.at_mm === null ? UNKNOWN : adjuster.at_mm * THREAD_SCALE);

/** From the fixed end's left edge to where the conduit goes on. */
export const partLength = (adjuster: Adjuster): number =>
  before[adjuster.kind] + threadLength(adjuster) + after[adjuster.kind];

const before = { barrel: 26, in_line: 24, bracket_nuts: 14 } as const satisfies Record<Adjuster['kind'], number>;
const after = { barrel: 30, in_line: 40, bracket_nuts: 26 } as const satisfies Record<Adjuster['kind'], number>;

type Props = { adjuster: Adjuster; chosen: boolean; ghost: number | null };

/** One adjuster about the origin, its axis along x, drawn from its own figures. */
export const AdjusterDrawing = ({ adjuster, chosen, ghost }: Props) => {
  const start = before[adjuster.kind];
  const length = threadLength(adjuster);
  const draw = { barrel: Barrel, in_line: InLine, bracket_nuts: BracketNuts }[adjuster.kind];
  const Body = draw;
  return (
    <g>
      {chosen && (
        <rect
          x="-7"
          y="-27"
          width={partLength(adjuster) + 14}
          height="54"
          rx="8"
          fill={paint['vivid.wash']}
          stroke={paint.action}
          strokeWidth="1.5"
          strokeDasharray="4 3"
        />
      )}
      <path d={`M${start} 0H${start + length}`} stroke={paint.action} strokeWidth="3" />
      <Thread adjuster={adjuster} x={start} length={length} />
      {ghost !== null && Math.abs(ghost) > 0.4 && (
        <path
          d={ghost > 0 ? `M${start + length} -13h${ghost}v26h${-ghost}` : `M${start + length + ghost} -13v26`}
          stroke={paint.action}
          strokeWidth="2"
          strokeDasharray="3 2"
          fill="none"
          transform={ghost > 0 ? `translate(${after[adjuster.kind]} 0)` : undefined}
        />
      )}
      <Body end={start + length} />
    </g>
  );
};

const Thread = ({ adjuster, x, length }: { adjuster: Adjuster; x: number; length: number }) => {
  const pitch = Math.max(3, (adjuster.pitch_mm ?? 1) * THREAD_SCALE);
  const flanks = Array.from({ length: Math.floor(length / pitch) }, (_, n) => `M${x + n * pitch} 9l${pitch} -18`).join(
    '',
  );
  return (
    <g>
      <rect
        data-thread={adjuster.id}
        data-scale={THREAD_SCALE}
        data-known={adjuster.at_mm !== null}
        x={x}
        y="-9"
        width={length}
        height="18"
        fill={paint['steel.light']}
        stroke={paint.ink}
        strokeWidth="1"
        strokeDasharray={adjuster.at_mm === null ? '3 2' : undefined}
      />
      {adjuster.at_mm !== null && <path d={flanks} stroke={paint.ink} strokeWidth="1" />}
      {adjuster.at_mm === null && (
        <text x={x + length / 2} y="5" textAnchor="middle" fontSize="13" fontWeight="bold" fill={paint.ink}>
          ?
        </text>
      )}
    </g>
  );
};

const Barrel = ({ end }: { end: number }) => (
  <g stroke="currentColor" strokeWidth="1.2">
    <rect x="0" y="-18" width="17" height="36" rx="3" fill={paint['steel.dark']} />
    <rect x="18" y="-14" width="8" height="28" rx="2" fill={paint['steel.mid']} />
    <rect x={end} y="-18" width="30" height="36" rx="4" fill={paint['yellow.tag']} />
    <path
      d={`M${end + 6} -17v34M${end + 12} -17v34M${end + 18} -17v34M${end + 24} -17v34`}
      stroke={paint['paper.tapeEdge']}
    />
  </g>
);

const InLine = ({ end }: { end: number }) => (
  <g stroke="currentColor" strokeWidth="1.2">
    <rect x="0" y="-14" width="24" height="28" rx="4" fill={paint['steel.light']} />
    <rect x={end} y="-13" width="11" height="26" rx="2" fill={paint['steel.mid']} />
    <rect x={end + 11} y="-12" width="29" height="24" rx="4" fill={paint['steel.light']} />
  </g>
);

/** The threaded end of the conduit between its two nuts; the ferrule is on the left, the plate on the right. */
const BracketNuts = ({ end }: { end: number }) => (
  <g stroke="currentColor" strokeWidth="1.2">
    <rect x="0" y="-9" width="14" height="18" rx="3" fill={paint['steel.dark']} />
    <rect x={end} y="-14" width="9" height="28" rx="2" fill={paint['steel.mid']} />
    <rect x={end + 9} y="-24" width="7" height="48" fill={paint.ink} />
    <rect x={end + 16} y="-14" width="9" height="28" rx="2" fill={paint['steel.mid']} />
  </g>
);
