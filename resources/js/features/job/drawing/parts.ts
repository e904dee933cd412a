import type { Adjuster, AdjusterKind } from '../../../api/jobs';
import { THREAD_SCALE } from './scale';

/** How much of a drawing is the adjuster's own scale: the thread that shows, all of its travel, or nothing. */
type Scaled = 'thread' | 'travel' | 'none';

type Part = { before: number; after: number; scaled: Scaled };

/** Drawing units before and after the part that is to scale. */
export const parts = {
  barrel: { before: 26, after: 30, scaled: 'thread' },
  in_line: { before: 24, after: 40, scaled: 'thread' },
  bracket_nuts: { before: 14, after: 26, scaled: 'thread' },
  hollow_bolt: { before: 20, after: 30, scaled: 'thread' },
  governor_nut: { before: 12, after: 44, scaled: 'thread' },
  cam_screw: { before: 10, after: 54, scaled: 'none' },
  rung_clamp: { before: 34, after: 12, scaled: 'travel' },
  slotted_bracket: { before: 14, after: 14, scaled: 'travel' },
  pinch_clamp: { before: 30, after: 10, scaled: 'travel' },
  hook_holes: { before: 12, after: 12, scaled: 'travel' },
  push_rod_a: { before: 12, after: 70, scaled: 'none' },
  push_rod_b: { before: 12, after: 70, scaled: 'none' },
  spline_arm: { before: 12, after: 56, scaled: 'none' },
  self_adjuster: { before: 8, after: 74, scaled: 'none' },
  none: { before: 6, after: 34, scaled: 'none' },
} as const satisfies Record<AdjusterKind, Part>;

const UNKNOWN = 12;
const WIDEST = 110;

/** Length of what is drawn to scale: a thread as it stands, a short dashed piece where that is not known, a slot whole. */
export function scaledLength(adjuster: Adjuster): number {
  const { scaled } = parts[adjuster.kind];
  if (scaled === 'none') return 0;
  if (scaled === 'travel') return Math.min(WIDEST, adjuster.travel_mm * THREAD_SCALE);
  return adjuster.at_mm === null ? UNKNOWN : adjuster.at_mm * THREAD_SCALE;
}

/** From the fixed end's left edge to where the conduit goes on. */
export function partLength(adjuster: Adjuster): number {
  const { before, after } = parts[adjuster.kind];
  return before + scaledLength(adjuster) + after;
}
