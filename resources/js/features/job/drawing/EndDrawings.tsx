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

export const hands = {
  lever: Lever,
  grip: Grip,
  trigger: Trigger,
  handle: Handle,
} as const satisfies Record<BenchState['hand']['kind'], (props: { share: number }) => ReactNode>;

export const workingEnd = (name: string) =>
  name === 'carburettor' ? Carburettor : name === 'release arm' ? ReleaseArm : DriveEnd;
