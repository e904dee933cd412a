import type { ReactNode } from 'react';
import type { AdjusterKind } from '../../../api/contract';
import { paint } from '../../../theme/paint';

/** What is on a run, small and from the side, the wire along its middle: hand to the left, working end to the right. */
const thread = (from: number, to: number) => (
  <path
    d={Array.from({ length: Math.floor((to - from) / 4) }, (_, n) => `M${from + 4 * n} -5l3 10`).join('')}
    strokeWidth="1"
  />
);
const block = (x: number, width: number, height: number, fill: string = paint['steel.light']) => (
  <rect x={x} y={-height / 2} width={width} height={height} rx="1.5" fill={fill} />
);
const nut = (x: number) => block(x, 6, 18, paint['steel.mid']);

const adjusters: Record<AdjusterKind, ReactNode> = {
  barrel: [block(-20, 14, 20, paint['steel.mid']), block(-6, 26, 10), thread(-5, 20)],
  in_line: [
    block(-22, 16, 12, paint['steel.mid']),
    block(-6, 12, 9),
    thread(-5, 6),
    block(8, 14, 12, paint['steel.mid']),
  ],
  bracket_nuts: [block(-18, 36, 10), thread(-17, 18), block(-2, 4, 30, paint['steel.dark']), nut(-11), nut(5)],
  hollow_bolt: [block(-20, 8, 22, paint['steel.mid']), block(-12, 32, 10), thread(-11, 20), nut(-2)],
  cam_screw: <path d="M0 -14a14 14 0 1 0 6 26L0 0Z" fill={paint['steel.light']} />,
  rung_clamp: [block(-20, 40, 20), <path key="rungs" d="M-14 -10v20M-7 -10v20M0 -10v20M7 -10v20M14 -10v20" />],
  slotted_bracket: [
    block(-20, 40, 24),
    <rect key="slot" x="-14" y="-4" width="28" height="8" rx="4" fill={paint.sheet} />,
  ],
  pinch_clamp: [block(-10, 20, 24, paint['steel.mid']), <path key="slit" d="M-10 0H10M0 -16v32" />],
  hook_holes: [
    block(-20, 40, 22),
    ...[-13, -4, 5, 14].map((x) => <circle key={x} cx={x} cy="0" r="3" fill={paint.sheet} />),
  ],
  push_rod_a: [block(-20, 6, 30, paint['steel.dark']), block(-14, 18, 10), thread(-13, 4), block(8, 14, 8)],
  push_rod_b: [block(-20, 6, 30, paint['steel.dark']), block(-14, 18, 10), thread(-13, 4), nut(-12), block(8, 14, 8)],
  spline_arm: [
    <path key="arm" d="M0 0L16 16" strokeWidth="7" stroke={paint['steel.mid']} strokeLinecap="round" />,
    <circle key="teeth" r="12" fill={paint['steel.light']} strokeDasharray="3 2.3" strokeWidth="4" />,
    <circle key="shaft" r="6" fill={paint['steel.dark']} />,
  ],
  governor_nut: [
    block(-18, 36, 8),
    thread(-17, 18),
    nut(-3),
    <path key="spring" d="M6 -9l3 18l3 -18l3 18l3 -18" fill="none" />,
  ],
  self_adjuster: [
    block(-20, 40, 20),
    <path key="spring" d="M-15 6l4 -12l4 12l4 -12l4 12l4 -12l4 12l4 -12" fill="none" />,
  ],
  none: <path d="M-8 -8L8 8M8 -8L-8 8" strokeWidth="2.5" />,
};

const hands: Record<string, ReactNode> = {
  lever: (
    <>
      <rect x="-24" y="-17" width="46" height="10" rx="5" fill={paint['steel.dark']} />
      <path d="M18 4Q-6 2 -22 14" fill="none" strokeWidth="7" stroke={paint['steel.mid']} strokeLinecap="round" />
      <circle cx="16" cy="3" r="4" fill={paint['steel.light']} />
    </>
  ),
  grip: (
    <>
      <rect x="-24" y="-8" width="32" height="16" rx="5" fill={paint['steel.dark']} />
      <rect x="8" y="-13" width="6" height="26" rx="2" fill={paint['steel.mid']} />
    </>
  ),
  other: (
    <>
      <path d="M-16 14L6 -10" strokeWidth="6" stroke={paint['steel.mid']} strokeLinecap="round" />
      <circle cx="-14" cy="14" r="4" fill={paint['steel.light']} />
      <rect x="-2" y="-17" width="20" height="9" rx="4" fill={paint['steel.dark']} />
    </>
  ),
};

const end = (
  <>
    <path d="M-10 -12V12" strokeWidth="5" stroke={paint['steel.mid']} strokeLinecap="round" />
    <circle cx="-10" cy="12" r="4" fill={paint['steel.dark']} />
    <circle cx="-10" cy="-10" r="3" fill={paint.sheet} />
  </>
);

type GlyphProps = { of: { adjuster: AdjusterKind } | { hand: string } | 'end'; wire?: boolean };

/** One part of a run as it is drawn in the form. */
export const Glyph = ({ of, wire = true }: GlyphProps) => (
  <svg viewBox="-26 -20 52 40" width="100%" aria-hidden="true" stroke="currentColor" strokeWidth="1.2">
    {wire && of !== 'end' && typeof of === 'object' && 'adjuster' in of && (
      <path d="M-26 0H26" stroke={paint.action} strokeWidth="2.5" />
    )}
    {wire && of === 'end' && <path d="M-26 -10H-10" stroke={paint.action} strokeWidth="2.5" />}
    {of === 'end' ? end : 'adjuster' in of ? adjusters[of.adjuster] : (hands[of.hand] ?? hands.other)}
  </svg>
);
