import { paint } from '../../../theme/paint';

/** The screw in its cover, the nut or sprung plate that holds it, and the rod it leaves a gap to. */
const PushRod = ({ plate }: { plate: boolean }) => (
  <g stroke="currentColor" strokeWidth="1.2">
    <path d="M0 0H12" stroke={paint.action} strokeWidth="3" />
    <rect x="12" y="-24" width="8" height="48" rx="2" fill={paint['steel.dark']} />
    <rect x="12" y="-7" width="34" height="14" fill={paint['steel.light']} />
    <path d="M20 -7l4 14M26 -7l4 14M32 -7l4 14M38 -7l4 14" />
    {plate ? (
      <path d="M20 -17h9v34h-9Z" fill={paint['yellow.tag']} />
    ) : (
      <rect x="20" y="-14" width="9" height="28" rx="2" fill={paint['steel.mid']} />
    )}
    <rect x="52" y="-5" width="30" height="10" rx="4" fill={paint['steel.mid']} />
    <path d="M46 -18v9M52 -18v9M47 -14h4" stroke={paint.action} strokeWidth="1.8" />
  </g>
);

/** The arm on its toothed shaft, with the index that is brought to the case mark. */
const SplineArm = () => {
  const teeth = Array.from({ length: 16 }, (_, n) => {
    const angle = (n * Math.PI) / 8;
    return `M${38 + 13 * Math.cos(angle)} ${13 * Math.sin(angle)}L${38 + 17 * Math.cos(angle)} ${17 * Math.sin(angle)}`;
  }).join('');
  return (
    <g stroke="currentColor" strokeWidth="1.2">
      <path d="M0 0H20" stroke={paint.action} strokeWidth="3" />
      <path d="M38 0L62 22" stroke={paint['steel.mid']} strokeWidth="11" strokeLinecap="round" />
      <circle cx="38" cy="0" r="18" fill={paint['steel.light']} />
      <path d={teeth} strokeWidth="2" />
      <circle cx="38" cy="0" r="12" fill={paint['steel.dark']} />
      <path d="M38 -18v-8M34 -26h8" stroke={paint.action} strokeWidth="2.2" />
    </g>
  );
};

/** The housing with its spring and the tab that frees it. */
const SelfAdjuster = () => (
  <g stroke="currentColor" strokeWidth="1.2">
    <path d="M0 0H8" stroke={paint.action} strokeWidth="3" />
    <rect x="8" y="-17" width="64" height="34" rx="6" fill={paint['steel.light']} />
    <path d="M14 -8l5 16l5 -16l5 16l5 -16l5 16l5 -16l5 16" fill="none" strokeWidth="2.2" />
    <rect x="54" y="-24" width="12" height="16" rx="2" fill={paint['yellow.tag']} />
    <path d="M72 0H82" stroke={paint.action} strokeWidth="3" />
  </g>
);

/** A plain ferrule: nothing to turn here. */
const NoAdjuster = () => (
  <g stroke="currentColor" strokeWidth="1.2">
    <rect x="0" y="-10" width="38" height="20" rx="5" fill={paint['steel.mid']} />
    <path d="M12 -10v20M26 -10v20" />
  </g>
);

export const PlainParts = {
  push_rod_a: () => <PushRod plate={false} />,
  push_rod_b: () => <PushRod plate />,
  spline_arm: SplineArm,
  self_adjuster: SelfAdjuster,
  none: NoAdjuster,
} as const;
