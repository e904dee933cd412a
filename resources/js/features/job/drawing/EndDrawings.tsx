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
