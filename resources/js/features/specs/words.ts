import type { AdjusterKind } from '../../api/contract';
import { adjusterKinds, aims, barPoses, meters, readingPoints, standings } from '../../api/contract/vocabulary.gen';
import { capital } from '../../lib/capital';

type Options = readonly { key: string; label: string }[];
const capitals = <K extends string>(words: readonly { key: K; label: string }[]) =>
  words.map(({ key, label }) => ({ key, label: capital(label) }));

export { families } from '../../api/contract/vocabulary.gen';

/** The second cable that a control of a family may have, as the library writes it: with a play, and adjusters, of its own. */
export const secondCables = {
  twist_grip: { key: 'backward', pulls: 'closing', id: 'closing', name: 'Closing cable' },
  pedal_throttle: { key: 'secondary', pulls: 'following', id: 'secondary', name: 'Secondary cable' },
} as const;

/** A closing cable is read backward on its own row, and nowhere else. */
export const points = capitals(readingPoints.filter(({ key }) => key !== 'grip_backward'));

export const engines = [
  { key: '', label: 'The book is silent' },
  { key: 'cold', label: 'Cold engine' },
  { key: 'hot', label: 'Hot engine' },
] as const satisfies Options;

export const standing: Options = [{ key: '', label: 'Either' }, ...capitals(standings)];

/** Hand controls on bars that turn; the others have no poses. */
export const isOnBars = (hand: unknown): boolean => hand === 'lever' || hand === 'grip';

export const poses = capitals(barPoses);
export const policies = capitals(aims);

export const rules = [
  { key: 'guarded', label: 'Guarded: 95 % sure to be inside' },
  { key: 'plain', label: 'Plain: the figure decides' },
] as const satisfies Options;

export const meterUnits = meters;

export const kindOptions: Options = capitals(adjusterKinds);
/** What a key is called. */
export const named = (options: Options, key: string): string => options.find((one) => one.key === key)?.label ?? key;
export const kindName = (key: string): string => kindOptions.find((kind) => kind.key === key)?.label ?? key;

/** What an adjuster on a thread is counted in. */
export const counts = [
  { key: 'turn', label: 'Turns and flats' },
  { key: 'click', label: 'Clicks' },
  { key: 'bevel', label: 'Bevels' },
] as const satisfies Options;

/** How an adjuster of a kind is measured: by its thread, by its steps, or not at all. */
export const measuredBy = Object.fromEntries(adjusterKinds.map((kind) => [kind.key, kind.measured_by])) as Record<
  AdjusterKind,
  (typeof adjusterKinds)[number]['measured_by']
>;

/** What a spec may ask beside play, with the figures that each takes. */
export const limits = {
  time_limit: {
    label: 'Stops within',
    fields: [{ key: 'at_most_s', label: 'Seconds, at most', must: true }],
  },
  speed_ceiling: {
    label: 'Governed speed',
    fields: [
      { key: 'at_most_kmh', label: 'At most', unit: 'km/h', must: true },
      { key: 'tyre_mm', label: 'Tyre, across', unit: 'mm', must: true },
      { key: 'usual_kmh', label: 'Usual', unit: 'km/h', must: false },
    ],
  },
  engagement_window: {
    label: 'Full drive',
    fields: [{ key: 'full_by_mm', label: 'By handle travel of', unit: 'mm', must: true }],
  },
  throttle_window: {
    label: 'Throttle window',
    fields: [
      { key: 'stroke_mm', label: 'Wire at full hand', unit: 'mm', must: true },
      { key: 'arc_mm', label: 'Wire needed', unit: 'mm', must: true },
      { key: 'margin_mm', label: 'Least slack', unit: 'mm', must: true },
      { key: 'over_travel_mm', label: 'Over-travel', unit: 'mm', must: false },
      { key: 'arm_ratio', label: 'Governor arm ratio', must: false },
    ],
  },
  pull: {
    label: 'Pull of a new cable',
    fields: [
      { key: 'pull_n', label: 'Pulled', unit: 'N', must: true },
      { key: 'release_n', label: 'Let back', unit: 'N', must: true },
      { key: 'at_mm', label: 'From the pivot', unit: 'mm', must: true },
    ],
  },
  pack: {
    label: 'Plates and springs',
    fields: [
      { key: 'friction_plates', label: 'Friction plates', must: true },
      { key: 'steel_plates', label: 'Steel plates', must: true },
      { key: 'springs', label: 'Springs', must: true },
      { key: 'friction_min_mm', label: 'Friction, least', unit: 'mm', must: false },
      { key: 'steel_warp_max_mm', label: 'Steel warp, most', unit: 'mm', must: false },
      { key: 'spring_min_mm', label: 'Spring, least', unit: 'mm', must: false },
      { key: 'bolts', label: 'Bolts', must: false },
      { key: 'bolt_nm', label: 'Bolt torque', unit: 'N·m', must: false },
    ],
  },
} as const;
export type LimitKind = keyof typeof limits;
export const limitKinds = Object.keys(limits) as LimitKind[];

const places: Record<string, string> = {
  adjusters: 'adjuster',
  at: 'place',
  at_mm: 'distance from the pivot',
  cables: 'cable',
  document: 'document',
  high: 'to',
  high_mm: 'most',
  label: 'name',
  lock_torque_nm: 'lock torque',
  clicks_per_turn: 'clicks a turn',
  bevels_per_turn: 'bevels a turn',
  low: 'from',
  low_mm: 'least',
  mm_per_step: 'each step',
  most_at_once: 'never more at once',
  movers: 'what moves it',
  nm: 'torque',
  per_step: 'how far a step',
  printed: 'as it is printed',
  proofs: 'proof',
  secondary: 'second cable',
  backward: 'second cable',
  sees: 'seen',
  settings: 'setting',
  thread: 'thread',
  torques: 'torque',
  travel_mm: 'travel',
  trial: 'first try',
  wants: 'right is',
};
/** Steps of the way that lead nowhere a person can see. */
const unseen = ['spec', 'run', 'others', 'book', 'hand', 'aim', 'conditions', 'source', 'access', 'travel_steps'];

/** A refusal that begins with its place in what was sent: the place, and what is said of it. */
export const OF_A_PLACE = /^\$\.([\w.[\]]+): (.+)$/s;

/** A refusal that names a place in the file, as a person finds that place in the form. */
export const inTheForm = (sentence: string): string =>
  sentence.replace(OF_A_PLACE, (_, path: string, says: string) => {
    const steps = path
      .split('.')
      .map((step) => /^(\w+)(?:\[(\d+)\])?$/.exec(step))
      .filter((step) => step !== null)
      .filter((step) => !unseen.includes(step[1] ?? ''))
      .map(
        ([, key = '', n]) => `${places[key] ?? key.replaceAll('_', ' ')}${n === undefined ? '' : ` ${Number(n) + 1}`}`,
      );
    const place = steps.join(', ');
    return place === '' ? capital(says) : `${capital(place)}: ${says}`;
  });
