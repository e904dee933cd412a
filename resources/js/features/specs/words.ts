import { type AdjusterKind, adjusterKinds } from '../../api/jobs';

type Options = readonly { key: string; label: string }[];

export const families = [
  { key: 'clutch_lever', label: 'Clutch lever' },
  { key: 'automatic_clutch', label: 'Automatic clutch' },
  { key: 'hydraulic_clutch', label: 'Hydraulic clutch' },
  { key: 'twist_grip', label: 'Throttle grip' },
  { key: 'trigger_throttle', label: 'Throttle trigger' },
  { key: 'pedal_throttle', label: 'Throttle pedal with governor' },
  { key: 'sliding_drive', label: 'Drive by sliding handle' },
  { key: 'engage_by_pull', label: 'Drive clutch, engaged by its pull' },
  { key: 'release_by_pull', label: 'Drive clutch, released by its pull' },
  { key: 'bail', label: 'Operator-presence bail' },
  { key: 'speed_selector', label: 'Speed selector' },
  { key: 'mode_cables', label: 'Mode and park cables' },
  { key: 'hook_control', label: 'Cable on hook holes' },
  { key: 'brake_pull', label: 'Brake' },
  { key: 'other_control', label: 'Other control' },
] as const satisfies Options;

/** The second cable that a control of a family may have, as the library writes it: with a play, and adjusters, of its own. */
export const secondCables = {
  twist_grip: { key: 'backward', pulls: 'closing', id: 'closing', name: 'Closing cable' },
  pedal_throttle: { key: 'secondary', pulls: 'following', id: 'secondary', name: 'Secondary cable' },
} as const;

export const points = [
  { key: 'lever_tip', label: 'Lever tip' },
  { key: 'perch_gap', label: 'Lever/perch gap' },
  { key: 'ferrule_gap', label: 'Ferrule gap' },
  { key: 'release_arm', label: 'Release arm' },
  { key: 'grip_flange', label: 'Grip flange' },
  { key: 'carburettor_barrel', label: 'Carburettor barrel' },
  { key: 'handle_travel', label: 'Handle or pedal' },
] as const satisfies Options;

export const engines = [
  { key: '', label: 'The book is silent' },
  { key: 'cold', label: 'Cold engine' },
  { key: 'hot', label: 'Hot engine' },
] as const satisfies Options;

export const standing = [
  { key: '', label: 'Either' },
  { key: 'on_ground', label: 'On its wheels' },
  { key: 'on_stand', label: 'On a stand' },
] as const satisfies Options;

/** Hand controls on bars that turn; the others have no poses. */
export const isOnBars = (hand: unknown): boolean => hand === 'lever' || hand === 'grip';

export const poses = [
  { key: 'straight', label: 'Straight' },
  { key: 'left', label: 'Full left' },
  { key: 'right', label: 'Full right' },
] as const satisfies Options;

export const policies = [
  { key: 'middle', label: 'The middle' },
  { key: 'crisp', label: 'The crisp side' },
  { key: 'loose', label: 'The loose side' },
] as const satisfies Options;

export const rules = [
  { key: 'guarded', label: 'Guarded: 95 % sure to be inside' },
  { key: 'plain', label: 'Plain: the figure decides' },
] as const satisfies Options;

export const meterUnits = [
  { key: 'km', label: 'km' },
  { key: 'mi', label: 'mi' },
  { key: 'h', label: 'h' },
  { key: 'uses', label: 'uses' },
] as const satisfies Options;

const names = {
  barrel: 'Barrel',
  in_line: 'In-line adjuster',
  bracket_nuts: 'Bracket nuts',
  hollow_bolt: 'Hollow bolt',
  cam_screw: 'Cam screw',
  rung_clamp: 'Rung clamp',
  slotted_bracket: 'Slotted bracket',
  pinch_clamp: 'Pinch clamp',
  hook_holes: 'Hook holes',
  push_rod_a: 'Push rod, type A',
  push_rod_b: 'Push rod, type B',
  spline_arm: 'Arm on a spline',
  governor_nut: 'Governor nut',
  self_adjuster: 'Self-adjuster',
  none: 'None',
} as const satisfies Record<AdjusterKind, string>;

export const kindOptions: Options = adjusterKinds.map((key) => ({ key, label: names[key] }));
export const kindName = (key: string): string => names[key as AdjusterKind] ?? key;

/** What an adjuster on a thread is counted in. */
export const counts = [
  { key: 'turn', label: 'Turns and flats' },
  { key: 'click', label: 'Clicks' },
  { key: 'bevel', label: 'Bevels' },
] as const satisfies Options;

/** How an adjuster of a kind is measured: by its thread, by its steps, or not at all. */
export const measuredBy = {
  barrel: 'thread',
  in_line: 'thread',
  bracket_nuts: 'thread',
  hollow_bolt: 'thread',
  cam_screw: 'steps',
  rung_clamp: 'steps',
  slotted_bracket: 'steps',
  pinch_clamp: 'steps',
  hook_holes: 'steps',
  push_rod_a: 'nothing',
  push_rod_b: 'nothing',
  spline_arm: 'nothing',
  governor_nut: 'thread',
  self_adjuster: 'nothing',
  none: 'nothing',
} as const satisfies Record<AdjusterKind, 'thread' | 'steps' | 'nothing'>;

/** What a spec may ask beside play, with the figures that each takes. */
export const limits = {
  time_limit: {
    label: 'Stops within',
    fields: [{ key: 'at_most_s', label: 'Seconds, at most', must: true }],
  },
  speed_ceiling: {
    label: 'Governed speed',
    fields: [
      { key: 'at_most_kmh', label: 'km/h, at most', must: true },
      { key: 'tyre_mm', label: 'Tyre, mm across', must: true },
      { key: 'usual_kmh', label: 'Usual, km/h', must: false },
    ],
  },
  engagement_window: {
    label: 'Full drive',
    fields: [{ key: 'full_by_mm', label: 'By mm of handle travel', must: true }],
  },
  throttle_window: {
    label: 'Throttle window',
    fields: [
      { key: 'stroke_mm', label: 'Wire at full hand, mm', must: true },
      { key: 'arc_mm', label: 'Wire needed, mm', must: true },
      { key: 'margin_mm', label: 'Least slack, mm', must: true },
      { key: 'over_travel_mm', label: 'Over-travel, mm', must: false },
      { key: 'arm_ratio', label: 'Governor arm ratio', must: false },
    ],
  },
  pull: {
    label: 'Pull of a new cable',
    fields: [
      { key: 'pull_n', label: 'Pulled, N', must: true },
      { key: 'release_n', label: 'Let back, N', must: true },
      { key: 'at_mm', label: 'At mm from the pivot', must: true },
    ],
  },
  pack: {
    label: 'Plates and springs',
    fields: [
      { key: 'friction_plates', label: 'Friction plates', must: true },
      { key: 'steel_plates', label: 'Steel plates', must: true },
      { key: 'springs', label: 'Springs', must: true },
      { key: 'friction_min_mm', label: 'Friction, least mm', must: false },
      { key: 'steel_warp_max_mm', label: 'Steel warp, most mm', must: false },
      { key: 'spring_min_mm', label: 'Spring, least mm', must: false },
      { key: 'bolts', label: 'Bolts', must: false },
      { key: 'bolt_nm', label: 'Bolts, N·m', must: false },
    ],
  },
} as const;
export type LimitKind = keyof typeof limits;
export const limitKinds = Object.keys(limits) as LimitKind[];

const places: Record<string, string> = {
  adjusters: 'adjuster',
  at: 'place',
  at_mm: 'mm from the pivot',
  cables: 'cable',
  document: 'document',
  high: 'to',
  high_mm: 'most, mm',
  label: 'name',
  lock_torque_nm: 'lock, N·m',
  clicks_per_turn: 'clicks a turn',
  bevels_per_turn: 'bevels a turn',
  low: 'from',
  low_mm: 'least, mm',
  mm_per_step: 'mm a step',
  most_at_once: 'never more at once',
  movers: 'what moves it',
  nm: 'N·m',
  per_step: 'how far a step',
  printed: 'as it is printed',
  proofs: 'proof',
  secondary: 'second cable',
  backward: 'second cable',
  sees: 'seen',
  settings: 'setting',
  thread: 'thread',
  torques: 'torque',
  travel_mm: 'travel, mm',
  trial: 'first try',
  wants: 'right is',
};
/** Steps of the way that lead nowhere a person can see. */
const unseen = ['spec', 'run', 'others', 'book', 'hand', 'aim', 'conditions', 'source', 'access', 'travel_steps'];

/** A refusal that names a place in the file, as a person finds that place in the form. */
export const inTheForm = (sentence: string): string =>
  sentence.replace(/^\$\.([\w.[\]]+): (.)/, (_, path: string, first: string) => {
    const steps = path
      .split('.')
      .map((step) => /^(\w+)(?:\[(\d+)\])?$/.exec(step))
      .filter((step) => step !== null)
      .filter((step) => !unseen.includes(step[1] ?? ''))
      .map(
        ([, key = '', n]) => `${places[key] ?? key.replaceAll('_', ' ')}${n === undefined ? '' : ` ${Number(n) + 1}`}`,
      );
    const place = steps.join(', ');
    return place === '' ? first.toUpperCase() : `${place.charAt(0).toUpperCase()}${place.slice(1)}: ${first}`;
  });
