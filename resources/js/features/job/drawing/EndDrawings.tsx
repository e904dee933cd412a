import type { ReactNode } from 'react';
import type { BenchState } from '../../../api/jobs';
import { paint } from '../../../theme/paint';

/** A lever beside the bar; its play is the dotted arc, wider the more there is of it. */
export const Lever = ({ share }: { share: number }) => {
  const swing = 5 + 20 * Math.min(1, share);
  const tip = (angle: number) => {
    const radians = (angle * Math.PI) / 180;
    return [118 - 112 * Math.cos(radians), 26 + 112 * Math.sin(radians)] as const;
  };
  const [restX, restY] = tip(30);
  const [pullX, pullY] = tip(30 - swing);
  return (
    <g>
      <rect x="0" y="-12" width="122" height="24" rx="12" fill={paint['steel.dark']} />
      <rect x="0" y="-12" width="78" height="24" rx="12" fill={paint.ink} />
      <path
        d={`M118 26Q70 ${restY - 30} ${restX} ${restY}`}
        stroke={paint['steel.mid']}
        strokeWidth="11"
        strokeLinecap="round"
        fill="none"
      />
      <path
        d={`M118 26Q66 ${pullY - 24} ${pullX} ${pullY}`}
        stroke={paint.action}
        strokeWidth="2.5"
        strokeDasharray="3 4"
        fill="none"
      />
      <path
        d={`M${restX - 5} ${restY - 4}A112 112 0 0 1 ${pullX - 5} ${pullY + 3}`}
        stroke={paint.action}
        strokeWidth="3"
        fill="none"
      />
      <circle cx="120" cy="14" r="17" fill={paint['steel.dark']} />
      <circle cx="120" cy="14" r="6" fill={paint['steel.light']} />
    </g>
  );
};

/** A grip seen from its end: the drum, the flange round it, and the arc of play. */
export const Grip = ({ share }: { share: number }) => {
  const sweep = ((10 + 46 * Math.min(1, share)) * Math.PI) / 180;
  const at = (angle: number, r: number) => [70 + r * Math.sin(angle), 26 - r * Math.cos(angle)] as const;
  const [x1, y1] = at(-0.9, 50);
  const [x2, y2] = at(-0.9 + sweep, 50);
  return (
    <g>
      <circle cx="70" cy="26" r="42" fill={paint['steel.light']} stroke={paint.ink} strokeWidth="1.5" />
      <circle cx="70" cy="26" r="29" fill={paint['steel.mid']} stroke={paint.ink} strokeWidth="1.5" />
      <circle cx="70" cy="26" r="15" fill={paint.ink} />
      <path d={`M${x1} ${y1}A50 50 0 0 1 ${x2} ${y2}`} stroke={paint.action} strokeWidth="4" fill="none" />
      <path
        d={`M${at(-0.9, 43).join(' ')}L${at(-0.9, 56).join(' ')}M${at(-0.9 + sweep, 43).join(' ')}L${at(-0.9 + sweep, 56).join(' ')}`}
        stroke={paint.action}
        strokeWidth="2"
      />
      <path d="M70 -3H132V-3" stroke={paint.action} strokeWidth="3" fill="none" />
      <circle cx="70" cy="-3" r="4.5" fill={paint.action} />
    </g>
  );
};

/** The arm on the clutch case, pulled towards the cable. */
export const ReleaseArm = () => (
  <g>
    <path d="M-40 0H0" stroke={paint.action} strokeWidth="3" />
    <path d="M0 0L16 64" stroke={paint['steel.mid']} strokeWidth="11" strokeLinecap="round" />
    <circle cx="0" cy="0" r="6.5" fill={paint.ink} />
    <circle cx="16" cy="66" r="12" fill={paint['steel.dark']} />
    <circle cx="16" cy="66" r="4.5" fill={paint['steel.light']} />
  </g>
);

/** The carburettor's drum, with the butterfly it opens. */
export const Carburettor = () => (
  <g>
    <path d="M-40 0H4" stroke={paint.action} strokeWidth="3" />
    <rect
      x="-14"
      y="10"
      width="60"
      height="58"
      rx="6"
      fill={paint['steel.light']}
      stroke={paint.ink}
      strokeWidth="1.5"
    />
    <circle cx="16" cy="30" r="24" fill={paint['steel.mid']} stroke={paint.ink} strokeWidth="1.5" />
    <path d="M16 30L4 4" stroke={paint.ink} strokeWidth="3" strokeLinecap="round" />
    <circle cx="4" cy="2" r="5" fill={paint.ink} />
    <circle cx="16" cy="30" r="5" fill={paint.ink} />
  </g>
);

/** A pistol handle with its trigger; the play is the dotted arc before it. */
export const Trigger = ({ share }: { share: number }) => {
  const swing = 4 + 16 * Math.min(1, share);
  return (
    <g>
      <path
        d="M6 -16H118Q130 -16 130 -4V6Q130 16 118 16H92L86 34Q84 40 76 40H52Q44 40 46 32L50 16H6Z"
        fill={paint['steel.dark']}
      />
      <path d="M56 16H84L80 24H58Z" fill={paint.ink} />
      <path d="M60 20Q56 44 70 60" stroke={paint['steel.mid']} strokeWidth="9" strokeLinecap="round" fill="none" />
      <path
        d={`M60 20Q${58 + swing * 0.4} 44 ${70 + swing} 56`}
        stroke={paint.action}
        strokeWidth="2.5"
        strokeDasharray="3 4"
        fill="none"
      />
      <path d={`M74 66Q${76 + swing * 0.6} 66 ${78 + swing} 62`} stroke={paint.action} strokeWidth="3" fill="none" />
    </g>
  );
};

/** A handle bar with the loop that is drawn to it. */
export const Handle = ({ share }: { share: number }) => {
  const swing = 6 + 22 * Math.min(1, share);
  return (
    <g>
      <path d="M10 44V0Q10 -14 24 -14H110Q124 -14 124 0V30" stroke={paint['steel.dark']} strokeWidth="11" fill="none" />
      <path
        d="M22 52V30Q22 18 36 18H98Q112 18 112 30V40"
        stroke={paint['steel.mid']}
        strokeWidth="7"
        fill="none"
        strokeLinecap="round"
      />
      <path
        d={`M22 52V${30 - swing * 0.5}Q22 ${18 - swing * 0.5} 36 ${18 - swing * 0.5}H98Q112 ${18 - swing * 0.5} 112 ${30 - swing * 0.5}V40`}
        stroke={paint.action}
        strokeWidth="2.5"
        strokeDasharray="3 4"
        fill="none"
      />
      <path d={`M67 18V${18 - swing * 0.5}`} stroke={paint.action} strokeWidth="3" />
      <circle cx="22" cy="56" r="5" fill={paint.ink} />
      <circle cx="112" cy="44" r="5" fill={paint.ink} />
    </g>
  );
};

/** The bail of a walking mower: a hoop over the handlebar, drawn to it, and the gap it closes. */
const Bail = ({ share }: { share: number }) => {
  const gap = 8 + 18 * Math.min(1, share);
  return (
    <g>
      <path d="M6 62V6Q6 -16 28 -16H104Q126 -16 126 6V62" stroke={paint['steel.dark']} strokeWidth="12" fill="none" />
      <path d="M28 -16H104" stroke={paint.ink} strokeWidth="12" strokeLinecap="round" />
      <path
        d={`M18 62V${14 + gap}Q18 ${-2 + gap} 34 ${-2 + gap}H98Q114 ${-2 + gap} 114 ${14 + gap}V62`}
        stroke={paint['steel.mid']}
        strokeWidth="6"
        fill="none"
      />
      <path d={`M66 -8V${-4 + gap}`} stroke={paint.action} strokeWidth="3" />
      <path d={`M60 -8H72M60 ${-4 + gap}H72`} stroke={paint.action} strokeWidth="2" />
      <circle cx="18" cy="62" r="6" fill={paint.ink} />
      <circle cx="114" cy="62" r="6" fill={paint.ink} />
    </g>
  );
};

/** A floor pedal on its pivot; its dead travel is the dotted arc. */
const Pedal = ({ share }: { share: number }) => {
  const swing = 6 + 18 * Math.min(1, share);
  return (
    <g>
      <path d="M0 70H134" stroke={paint['steel.dark']} strokeWidth="7" strokeLinecap="round" />
      <path d="M112 66L58 6" stroke={paint['steel.mid']} strokeWidth="10" strokeLinecap="round" />
      <path d="M76 -2L40 32" stroke={paint.ink} strokeWidth="15" strokeLinecap="round" />
      <path
        d={`M${76 - swing} ${-2 + swing * 0.7}L${40 - swing * 0.4} ${32 + swing * 0.7}`}
        stroke={paint.action}
        strokeWidth="2.5"
        strokeDasharray="3 4"
      />
      <path d={`M52 6L${52 - swing * 0.6} ${6 + swing * 0.6}`} stroke={paint.action} strokeWidth="3" />
      <circle cx="112" cy="64" r="8" fill={paint['steel.dark']} />
      <path d="M88 38L130 27" stroke={paint.action} strokeWidth="3" />
    </g>
  );
};

/** A gate with its detents, the lever standing in one of them. */
const Selector = () => (
  <g>
    <rect x="4" y="22" width="128" height="44" rx="8" fill={paint['steel.dark']} />
    <path d="M16 44H120" stroke={paint.ink} strokeWidth="12" strokeLinecap="round" />
    {[20, 40, 60, 80, 100, 118].map((x) => (
      <path key={x} d={`M${x} 44V56`} stroke={paint.ink} strokeWidth="8" strokeLinecap="round" />
    ))}
    <path d="M60 48L84 -10" stroke={paint['steel.mid']} strokeWidth="7" strokeLinecap="round" />
    <circle cx="85" cy="-12" r="10" fill={paint.ink} />
    <path d="M64 40L128 27" stroke={paint.action} strokeWidth="3" />
  </g>
);

/** What a drive or auger cable pulls: an arm with its spring against a belt wheel. */
const DriveEnd = () => (
  <g>
    <path d="M-40 0H0" stroke={paint.action} strokeWidth="3" />
    <circle cx="20" cy="48" r="24" fill={paint['steel.light']} stroke={paint.ink} strokeWidth="1.5" />
    <circle cx="20" cy="48" r="8" fill={paint['steel.dark']} />
    <path d="M0 0L14 40" stroke={paint['steel.mid']} strokeWidth="10" strokeLinecap="round" />
    <circle cx="0" cy="0" r="6" fill={paint.ink} />
    <path d="M4 12l10 -3l-2 6l9 -3l-2 6l9 -3" stroke={paint.ink} strokeWidth="1.8" fill="none" />
  </g>
);

/** The flywheel with its brake shoe, and the stop contact beside it. */
const BrakeAndStop = () => (
  <g>
    <path d="M-40 0H-4" stroke={paint.action} strokeWidth="3" />
    <circle cx="24" cy="44" r="28" fill={paint['steel.light']} stroke={paint.ink} strokeWidth="1.5" />
    <path
      d="M24 16V24M52 44H44M24 72V64M44 24L38 30M44 64L38 58"
      stroke={paint.ink}
      strokeWidth="2"
      strokeLinecap="round"
    />
    <circle cx="24" cy="44" r="7" fill={paint['steel.dark']} />
    <path d="M-8 8Q-14 36 -6 60" stroke={paint['steel.dark']} strokeWidth="9" strokeLinecap="round" fill="none" />
    <path d="M-3 26Q-6 40 -2 54" stroke={paint.found} strokeWidth="4" strokeLinecap="round" fill="none" />
    <circle cx="-6" cy="2" r="6" fill={paint.ink} />
  </g>
);

/** A friction wheel standing on its disc, seen from the side of the disc. */
const FrictionDisc = () => (
  <g>
    <path d="M-40 0H2" stroke={paint.action} strokeWidth="3" />
    <circle cx="20" cy="44" r="30" fill={paint['steel.light']} stroke={paint.ink} strokeWidth="1.5" />
    <path d="M-10 44H50" stroke={paint['steel.mid']} strokeWidth="2" />
    <circle cx="20" cy="44" r="4" fill={paint.ink} />
    <rect x="-2" y="30" width="9" height="28" rx="3" fill={paint.ink} />
    <path d="M2 0V30" stroke={paint['steel.mid']} strokeWidth="6" strokeLinecap="round" />
    <circle cx="2" cy="0" r="6" fill={paint.ink} />
  </g>
);

/** An arm over its notches, where the cables meet. */
const ModeArm = () => (
  <g>
    <path d="M-40 0H6" stroke={paint.action} strokeWidth="3" />
    <path d="M-12 56A46 46 0 0 1 44 30" stroke={paint['steel.mid']} strokeWidth="9" fill="none" />
    <path d="M-6 44l-6 -5M8 33l-3 -7M26 27l0 -8" stroke={paint.ink} strokeWidth="3" />
    <path d="M6 0L28 66" stroke={paint['steel.dark']} strokeWidth="10" strokeLinecap="round" />
    <circle cx="6" cy="0" r="6" fill={paint.ink} />
    <circle cx="28" cy="66" r="8" fill={paint['steel.dark']} stroke={paint.ink} />
  </g>
);

/** A brake drum with its arm and the shoes inside. */
const BrakeDrum = () => (
  <g>
    <path d="M-40 0H0" stroke={paint.action} strokeWidth="3" />
    <circle cx="22" cy="46" r="28" fill={paint['steel.light']} stroke={paint.ink} strokeWidth="1.5" />
    <path d="M4 34A22 22 0 0 0 4 58M40 34A22 22 0 0 1 40 58" stroke={paint.found} strokeWidth="6" fill="none" />
    <circle cx="22" cy="46" r="6" fill={paint['steel.dark']} />
    <path d="M0 0L22 24" stroke={paint['steel.mid']} strokeWidth="10" strokeLinecap="round" />
    <circle cx="0" cy="0" r="6" fill={paint.ink} />
  </g>
);

/** A cylinder pushed by fluid: no cable at all. */
const SlaveCylinder = () => (
  <g>
    <path d="M-40 0H-10V24" stroke={paint['steel.mid']} strokeWidth="7" fill="none" />
    <rect x="-22" y="24" width="44" height="26" rx="5" fill={paint['steel.dark']} />
    <path d="M22 37H46" stroke={paint['steel.mid']} strokeWidth="8" strokeLinecap="round" />
    <path d="M-4 62q-7 10 0 14q7 -4 0 -14" fill={paint.found} />
  </g>
);

/** Shoes that fly out against their drum as it turns faster. */
const Centrifugal = () => (
  <g>
    <circle cx="16" cy="34" r="34" fill={paint['steel.light']} stroke={paint.ink} strokeWidth="1.5" />
    {[0, 120, 240].map((turn) => (
      <path
        key={turn}
        d="M16 8A26 26 0 0 1 38 20L30 26A17 17 0 0 0 16 17Z"
        fill={paint['steel.dark']}
        transform={`rotate(${turn} 16 34)`}
      />
    ))}
    <circle cx="16" cy="34" r="6" fill={paint.ink} />
  </g>
);

/** A Z-bend in one of a row of holes, pulling an idler with its spring. */
const HookEnd = () => (
  <g>
    <path d="M-40 0H-6V10H4" stroke={paint.action} strokeWidth="3" fill="none" />
    <path d="M-6 2L34 66" stroke={paint['steel.mid']} strokeWidth="13" strokeLinecap="round" />
    {[0, 1, 2].map((n) => (
      <circle
        key={n}
        cx={-2 + n * 9}
        cy={10 + n * 14}
        r="3.5"
        fill={n === 0 ? paint.ink : paint.sheet}
        stroke={paint.ink}
      />
    ))}
    <circle cx="34" cy="66" r="12" fill={paint['steel.dark']} />
    <path d="M20 8l10 -3l-2 6l9 -3l-2 6l9 -3" stroke={paint.ink} strokeWidth="1.8" fill="none" />
  </g>
);

export const hands = {
  lever: Lever,
  grip: Grip,
  trigger: Trigger,
  handle: Handle,
  bail: Bail,
  pedal: Pedal,
  selector: Selector,
} as const satisfies Record<BenchState['hand']['kind'], (props: { share: number }) => ReactNode>;

const ends: Readonly<Record<string, () => ReactNode>> = {
  carburettor: Carburettor,
  'release arm': ReleaseArm,
  'brake and stop': BrakeAndStop,
  'friction disc': FrictionDisc,
  'mode arm': ModeArm,
  'brake drum': BrakeDrum,
  'slave cylinder': SlaveCylinder,
  'centrifugal clutch': Centrifugal,
  'auger clutch': HookEnd,
};

/** Drawn by its name; a working end nobody drew yet is an arm with its spring against a wheel. */
export const workingEnd = (name: string): (() => ReactNode) => ends[name] ?? DriveEnd;
