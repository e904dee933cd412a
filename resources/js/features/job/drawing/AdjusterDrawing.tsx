import type { ReactNode } from 'react';
import type { Adjuster, AdjusterKind } from '../../../api/jobs';
import { paint } from '../../../theme/paint';
import { PlainParts } from './PlainParts';
import { partLength, parts, scaledLength } from './parts';
import { SteppedParts } from './SteppedParts';
import { THREAD_SCALE } from './scale';

export type PartProps = { adjuster: Adjuster; start: number; length: number; ghost: number | null };

type Props = { adjuster: Adjuster; chosen: boolean; ghost: number | null };

/** One adjuster about the origin, its axis along x, drawn from its own figures. */
export const AdjusterDrawing = ({ adjuster, chosen, ghost }: Props) => {
  const start = parts[adjuster.kind].before;
  const length = scaledLength(adjuster);
  const Body = bodies[adjuster.kind];
  return (
    <g data-adjuster-drawing={adjuster.kind}>
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
      <Body adjuster={adjuster} start={start} length={length} ghost={ghost} />
    </g>
  );
};

/** A thread to scale between its fixed end and what screws along it. */
const threaded = (Ends: (props: { end: number }) => ReactNode) => {
  const Threaded = ({ adjuster, start, length, ghost }: PartProps) => (
    <>
      <path d={`M${start} 0H${start + length}`} stroke={paint.action} strokeWidth="3" />
      <Thread adjuster={adjuster} x={start} length={length} />
      {ghost !== null && Math.abs(ghost) > 0.4 && (
        <path
          d={ghost > 0 ? `M${start + length} -13h${ghost}v26h${-ghost}` : `M${start + length + ghost} -13v26`}
          stroke={paint.action}
          strokeWidth="2"
          strokeDasharray="3 2"
          fill="none"
          transform={ghost > 0 ? `translate(${parts[adjuster.kind].after} 0)` : undefined}
        />
      )}
      <Ends end={start + length} />
    </>
  );
  return Threaded;
};

const Thread = ({ adjuster, x, length }: { adjuster: Adjuster; x: number; length: number }) => {
  const pitch = Math.max(3, (adjuster.unit === 'turn' ? adjuster.mm_per_unit || 1 : 1) * THREAD_SCALE);
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

/** A bolt with a hole down its length, screwed into a lug and held by its nut. */
const HollowBolt = ({ end }: { end: number }) => (
  <g stroke="currentColor" strokeWidth="1.2">
    <rect x="0" y="-22" width="12" height="44" rx="2" fill={paint['steel.dark']} />
    <rect x="12" y="-13" width="8" height="26" rx="2" fill={paint['steel.mid']} />
    <path d={`M${end} -15l8 -5h14l8 5v30l-8 5h-14l-8 -5Z`} fill={paint['steel.light']} />
    <path d={`M${end + 8} -20v40M${end + 22} -20v40`} />
  </g>
);

/** A stud with its nut against the governor's spring. */
const GovernorNut = ({ end }: { end: number }) => (
  <g stroke="currentColor" strokeWidth="1.2">
    <rect x="0" y="-16" width="12" height="32" rx="2" fill={paint['steel.dark']} />
    <rect x={end} y="-15" width="14" height="30" rx="2" fill={paint['steel.mid']} />
    <path
      d={`M${end + 14} -10l4 20l4 -20l4 20l4 -20l4 20l4 -20l4 20`}
      fill="none"
      stroke={paint['steel.dark']}
      strokeWidth="2.4"
    />
  </g>
);

const bodies = {
  barrel: threaded(Barrel),
  in_line: threaded(InLine),
  bracket_nuts: threaded(BracketNuts),
  hollow_bolt: threaded(HollowBolt),
  governor_nut: threaded(GovernorNut),
  ...SteppedParts,
  ...PlainParts,
} as const satisfies Record<AdjusterKind, (props: PartProps) => ReactNode>;
