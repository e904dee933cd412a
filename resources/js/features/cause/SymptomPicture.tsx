import type { ReactNode } from 'react';
import { paint } from '../../theme/paint';

/** Where a lever stands, in degrees from the bar: pulled to it, and all the way out. */
const IN = 6;
const OUT = 34;
const PIVOT = { x: 10, y: 12 };
const LONG = 46;

const polar = (x: number, y: number, long: number, angle: number) => ({
  x: x + long * Math.cos((angle * Math.PI) / 180),
  y: y + long * Math.sin((angle * Math.PI) / 180),
});

const at = (x: number, y: number, long: number, angle: number) => {
  const end = polar(x, y, long, angle);
  return `${end.x} ${end.y}`;
};

const tip = (angle: number, long = LONG) => polar(PIVOT.x, PIVOT.y, long, angle);

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

const Weight = ({ x, y }: { x: number; y: number }) => (
  <>
    <path d={`M${x} ${y}h18l-3 -9h-12z`} fill={paint.action} />
    <path d={`M${x + 9} ${y - 9}v-4`} stroke={paint.action} strokeWidth="2.5" />
  </>
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

/** A throttle's plate in its bore, so many degrees open; faintly, where it should be; and the way between. */
const Plate = ({ open, should }: { open: number; should: number }) => (
  <g strokeLinecap="round">
    <path d="M18 4V42M54 4V42" stroke={paint['steel.mid']} strokeWidth="3" />
    <path
      d={`M${at(36, 23, 15, -should)}L${at(36, 23, 15, 180 - should)}`}
      stroke={paint['steel.mid']}
      strokeWidth="3"
      strokeDasharray="1 5"
    />
    <path d={`M${at(36, 23, 15, -open)}L${at(36, 23, 15, 180 - open)}`} stroke={paint.ink} strokeWidth="4" />
    <path
      d={`M${at(36, 23, 15, -open)}A15 15 0 0 ${open > should ? 1 : 0} ${at(36, 23, 15, -should)}`}
      stroke={paint.action}
      strokeWidth="3.5"
      fill="none"
    />
    <circle cx="36" cy="23" r="3" fill={paint['steel.dark']} />
  </g>
);

const HUB = { x: 32, y: 25 };

/** A grip seen from its end, turned so far; faintly, where else its mark may stand. */
const Grip = ({ turned, faint = [] }: { turned: number; faint?: readonly number[] }) => (
  <g strokeLinecap="round">
    <circle cx={HUB.x} cy={HUB.y} r="14" fill={paint['steel.dark']} />
    <circle cx={HUB.x} cy={HUB.y} r="6" fill={paint['steel.mid']} />
    {faint.map((angle) => (
      <path
        key={angle}
        d={`M${at(HUB.x, HUB.y, 9, angle)}L${at(HUB.x, HUB.y, 16, angle)}`}
        stroke={paint['steel.mid']}
        strokeWidth="4"
      />
    ))}
    <path
      d={`M${at(HUB.x, HUB.y, 9, turned)}L${at(HUB.x, HUB.y, 17, turned)}`}
      stroke={paint['yellow.tag']}
      strokeWidth="5"
    />
  </g>
);

/** Part of a grip's turn, outside it. */
const Turn = ({ from, to }: { from: number; to: number }) => (
  <path
    d={`M${at(HUB.x, HUB.y, 20, from)}A20 20 0 0 1 ${at(HUB.x, HUB.y, 20, to)}`}
    stroke={paint.action}
    strokeWidth="4"
    fill="none"
    strokeLinecap="round"
  />
);

const CLOSED = -90;

type Pictures = Readonly<Record<string, ReactNode>>;

const ofGrip: Pictures = {
  dead_travel: (
    <>
      <Grip turned={CLOSED + 30} faint={[CLOSED]} />
      <Turn from={CLOSED} to={CLOSED + 30} />
    </>
  ),
  heavy: (
    <>
      <Grip turned={CLOSED + 20} />
      <Weight x={50} y={40} />
    </>
  ),
  no_spring_back: (
    <>
      <Grip turned={CLOSED + 80} faint={[CLOSED]} />
      <Arrow d="M40 3l8 8M48 3l-8 8" head="" />
    </>
  ),
  play_changes: (
    <>
      <Grip turned={CLOSED + 15} faint={[CLOSED + 45]} />
      <Arrow d="M33 4A20 20 0 0 1 50 16" head="M37 1l-5 3l5 4M51 11l0 6l-6 -1" />
    </>
  ),
};

const ofLever: Pictures = {
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
      <Weight x={48} y={26} />
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
};

/** The dial of a speedometer. */
const Dial = () => (
  <path d="M12 40A24 24 0 1 1 60 40" stroke={paint['steel.mid']} strokeWidth="3" fill="none" strokeLinecap="round" />
);

/** Of what is driven or set, whatever hand it is. */
const ofAny: Pictures = {
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
  stays_open: <Plate open={28} should={0} />,
  not_wide_open: <Plate open={58} should={90} />,
  jerky: (
    <>
      <path d="M8 4V42H66" stroke={paint['steel.mid']} strokeWidth="2.5" fill="none" strokeLinecap="round" />
      <path
        d="M10 40H24V24H30V30H36V12H64"
        stroke={paint.action}
        strokeWidth="3.5"
        fill="none"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </>
  ),
  low_top_speed: (
    <>
      <Dial />
      <path d="M36 40L30 20" stroke={paint.ink} strokeWidth="4" strokeLinecap="round" />
      <Arrow d="M38 12A28 28 0 0 1 58 28" head="" />
      <circle cx="36" cy="40" r="3.5" fill={paint['steel.dark']} />
    </>
  ),
  too_fast: (
    <>
      <Dial />
      <path d="M54 24A24 24 0 0 1 60 40" stroke={paint.action} strokeWidth="5" fill="none" strokeLinecap="round" />
      <path d="M36 40L55 34" stroke={paint.ink} strokeWidth="4" strokeLinecap="round" />
      <circle cx="36" cy="40" r="3.5" fill={paint['steel.dark']} />
    </>
  ),
  again_and_again: (
    <>
      <Barrel out={8} />
      <Arrow d="M24 8C30 2 40 2 46 8" head="M41 8h5v-5" />
      <Arrow d="M46 38C40 44 30 44 24 38" head="M29 38h-5v5" />
    </>
  ),
};

const byHand: Readonly<Record<string, Pictures>> = { lever: ofLever, grip: ofGrip };

const pictureOf = (symptom: string, hand: string): ReactNode => byHand[hand]?.[symptom] ?? ofAny[symptom];

/** Whether there is a picture for half of them at least: fewer would only be gaps. */
export const arePictured = (symptoms: readonly string[], hand: string): boolean =>
  2 * symptoms.filter((one) => pictureOf(one, hand) !== undefined).length >= symptoms.length;

/** What a symptom looks like at the hand, where words alone are easily taken for another. */
export const SymptomPicture = ({ symptom, hand }: { symptom: string; hand: string }) => {
  const picture = pictureOf(symptom, hand);
  return picture === undefined ? null : (
    <svg width="72" height="46" viewBox="0 0 72 46" aria-hidden="true" data-picture={symptom}>
      {picture}
    </svg>
  );
};
