import type { ReactNode } from 'react';
import { paint } from '../../theme/paint';

/** Where a lever stands, in degrees from the bar: pulled to it, and all the way out. */
const IN = 6;
const OUT = 34;
const PIVOT = { x: 10, y: 12 };
const LONG = 46;

const tip = (angle: number, long = LONG) => ({
  x: PIVOT.x + long * Math.cos((angle * Math.PI) / 180),
  y: PIVOT.y + long * Math.sin((angle * Math.PI) / 180),
});

const Bar = () => <rect x="8" y="4" width="54" height="7" rx="3.5" fill={paint['steel.dark']} />;

const Lever = ({ at, faint = false }: { at: number; faint?: boolean }) => {
  const end = tip(at);
  return (
    <path
      d={`M${PIVOT.x} ${PIVOT.y}L${end.x} ${end.y}`}
      stroke={faint ? paint['steel.mid'] : paint.ink}
      strokeWidth="4"
      strokeLinecap="round"
      strokeDasharray={faint ? '1 6' : undefined}
    />
  );
};

/** Part of a lever's travel, as the tip goes. */
const Travel = ({ from, to, wrong = true }: { from: number; to: number; wrong?: boolean }) => {
  const [start, end] = [tip(from, LONG + 6), tip(to, LONG + 6)];
  return (
    <path
      d={`M${start.x} ${start.y}A${LONG + 6} ${LONG + 6} 0 0 1 ${end.x} ${end.y}`}
      stroke={wrong ? paint.action : paint['steel.mid']}
      strokeWidth={wrong ? 4 : 2}
      strokeDasharray={wrong ? undefined : '2 3'}
      fill="none"
      strokeLinecap="round"
    />
  );
};

const Arrow = ({ d, head }: { d: string; head: string }) => (
  <g stroke={paint.action} strokeWidth="2.5" fill="none" strokeLinecap="round" strokeLinejoin="round">
    <path d={d} />
    <path d={head} />
  </g>
);

/** A wheel on the ground, seen from the side, that moves on its own. */
const WheelMoves = () => (
  <>
    <circle cx="50" cy="31" r="10" fill="none" stroke={paint['steel.dark']} strokeWidth="4" />
    <path d="M32 43H66" stroke={paint['steel.mid']} strokeWidth="2" />
    <Arrow d="M61 20H69" head="M66 17l3 3l-3 3" />
  </>
);

/** A barrel on its thread, so far out. */
const Barrel = ({ out }: { out: number }) => (
  <>
    <rect x="6" y="12" width="12" height="20" rx="2" fill={paint['steel.dark']} />
    <path
      d={Array.from({ length: Math.floor(out / 4) }, (_, n) => `M${20 + 4 * n} 16v12`).join('')}
      stroke={paint['steel.mid']}
      strokeWidth="2"
    />
    <rect x={18 + out} y="13" width="18" height="18" rx="3" fill={paint['yellow.tag']} />
    <path d={`M${36 + out} 22H70`} stroke={paint['steel.dark']} strokeWidth="4" />
  </>
);

const pictures: Readonly<Record<string, ReactNode>> = {
  bites_early: (
    <>
      <Bar />
      <Lever at={IN + 4} />
      <Travel from={IN} to={OUT} wrong={false} />
      <Travel from={IN} to={IN + 8} />
    </>
  ),
  bites_late: (
    <>
      <Bar />
      <Lever at={OUT - 4} />
      <Travel from={IN} to={OUT} wrong={false} />
      <Travel from={OUT - 8} to={OUT} />
    </>
  ),
  soft: (
    <>
      <Bar />
      <Lever at={OUT} faint />
      <Lever at={IN} />
      <path
        d="M20 40l4-6l5 6l5-6l5 6l5-6l4 6"
        stroke={paint.action}
        strokeWidth="2.5"
        fill="none"
        strokeDasharray="3 3"
      />
    </>
  ),
  heavy: (
    <>
      <Bar />
      <Lever at={OUT - 10} />
      <path d="M48 26h18l-3 -9h-12z" fill={paint.action} />
      <path d="M57 17v-4" stroke={paint.action} strokeWidth="2.5" />
    </>
  ),
  dead_travel: (
    <>
      <Bar />
      <Lever at={OUT - 12} />
      <Lever at={OUT} faint />
      <Travel from={OUT - 14} to={OUT} />
    </>
  ),
  no_spring_back: (
    <>
      <Bar />
      <Lever at={IN} />
      <Lever at={OUT} faint />
      <Arrow d="M30 24l8 12M38 24l-8 12" head="" />
    </>
  ),
  play_changes: (
    <>
      <Bar />
      <Lever at={OUT} faint />
      <Lever at={OUT - 14} faint />
      <Lever at={IN + 8} />
      <Arrow d="M62 20V38" head="M59 23l3 -4l3 4M59 35l3 4l3 -4" />
    </>
  ),
  creeps_in: (
    <>
      <Bar />
      <Lever at={IN} />
      <WheelMoves />
    </>
  ),
  creeps_out: (
    <>
      <Bar />
      <Lever at={OUT - 8} />
      <WheelMoves />
    </>
  ),
  wobbles: (
    <>
      <Barrel out={8} />
      <Arrow d="M35 7c5 -4 10 -4 14 0" head="M36 2v5h5M44 7h5v-5" />
    </>
  ),
  end_of_thread: (
    <>
      <Barrel out={28} />
      <Arrow d="M20 38H44" head="M41 35l3 3l-3 3M23 35l-3 3l3 3" />
    </>
  ),
  idle_rises: (
    <>
      <path d="M10 36L34 22L62 30" stroke={paint['steel.dark']} strokeWidth="5" fill="none" strokeLinecap="round" />
      <path d="M34 22V40" stroke={paint['steel.mid']} strokeWidth="4" />
      <Arrow d="M52 20V4" head="M48 8l4 -4l4 4" />
    </>
  ),
};

/** Those that show no lever. */
const anyHand = ['wobbles', 'end_of_thread', 'idle_rises'];

/** What a symptom looks like at the hand, where words alone are easily taken for another. */
export const SymptomPicture = ({ symptom, hand }: { symptom: string; hand: string }) => {
  const picture = hand === 'lever' || anyHand.includes(symptom) ? pictures[symptom] : undefined;
  return picture === undefined ? null : (
    <svg width="72" height="46" viewBox="0 0 72 46" aria-hidden="true" data-picture={symptom}>
      {picture}
    </svg>
  );
};
