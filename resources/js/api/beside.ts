import { z } from 'zod';

const verdict = z.enum(['inside', 'too_loose', 'too_tight', 'taut', 'cant_tell', 'not_judged', 'unread']);
const move = {
  adjuster: z.string().nullable(),
  adjuster_name: z.string().nullable(),
  phrase: z.string().nullable(),
  body: z.record(z.string(), z.unknown()).nullable(),
};

const setting = z.object({
  key: z.string(),
  label: z.string(),
  at: z.number(),
  wants: z.string(),
  found: z.string().nullable(),
  now: z.string().nullable(),
  right: z.boolean(),
  wrong: z.boolean(),
  sees: z.array(
    z.object({ key: z.string(), label: z.string(), low: z.number().nullable(), high: z.number().nullable() }),
  ),
});
export type Setting = z.infer<typeof setting>;

const table = z.object({
  arm: z.string(),
  unit: z.string(),
  plus: z.string(),
  minus: z.string(),
  settings: z.array(setting),
  advice: z.object({
    kind: z.enum(['try', 'move', 'which_way', 'right', 'contradiction', 'out_of_reach']),
    sentence: z.string(),
    how: z.string(),
    shift: z.number().nullable(),
    shift_say: z.string().nullable(),
    certain: z.boolean(),
    ...move,
  }),
});
export type OutcomeTable = z.infer<typeof table>;

const measure = z.object({
  key: z.string(),
  label: z.string(),
  unit: z.string(),
  decimals: z.number(),
  runs: z.number(),
  values: z.array(z.number()),
  mean: z.number().nullable(),
  expanded: z.number().nullable(),
  before: z.number().nullable(),
  low: z.number().nullable(),
  high: z.number().nullable(),
  verdict,
  sentence: z.string(),
  advice: z.string().nullable(),
  chance_inside: z.number().nullable(),
  note: z.string().nullable(),
});
export type Measure = z.infer<typeof measure>;

const window = z.object({
  stroke_mm: z.number(),
  arc_mm: z.number(),
  margin_mm: z.number(),
  least_mm: z.number(),
  most_mm: z.number(),
  tightest_mm: z.number().nullable(),
  slackest_mm: z.number().nullable(),
  ratio: z.number(),
  sentence: z.string(),
});
export type ThrottleWindow = z.infer<typeof window>;

const engagement = z.object({
  full_by_mm: z.number(),
  first_mm: z.number().nullable(),
  full_mm: z.number().nullable(),
  margin_low_mm: z.number().nullable(),
  margin_high_mm: z.number().nullable(),
  reserve_mm: z.number().nullable(),
  sentence: z.string(),
});
export type Engagement = z.infer<typeof engagement>;

const pulled = z.object({
  pull_n: z.number(),
  release_n: z.number(),
  tension_n: z.number(),
  efficiency: z.number(),
  friction: z.number(),
});

const pack = z.object({
  kinds: z.array(
    z.object({
      key: z.string(),
      label: z.string(),
      count: z.number(),
      how_to: z.string(),
      low: z.number().nullable(),
      high: z.number().nullable(),
      decimals: z.number(),
    }),
  ),
  items: z.array(
    z.object({
      key: z.string(),
      of: z.string(),
      mean: z.number(),
      expanded: z.number(),
      verdict,
      sentence: z.string(),
    }),
  ),
  lives: z.array(z.object({ key: z.string(), left: z.number(), unit: z.string(), inspections: z.number() })),
  findings: z.array(
    z.object({
      key: z.string(),
      label: z.string(),
      look_for: z.string(),
      finding: z.enum(['sound', 'noted', 'fault']).nullable(),
      remark: z.string().nullable(),
    }),
  ),
  stack_mm: z.number().nullable(),
  star_order: z.array(z.number()),
  soaking_since: z.string().nullable(),
  soak_hours: z.number(),
  bolt_nm: z.number().nullable(),
  sentence: z.string(),
});
export type Pack = z.infer<typeof pack>;

const match = z.object({
  verdict: z.enum(['fits', 'at_its_end', 'does_not_fit', 'cannot_tell']),
  label: z.string(),
  sentence: z.string(),
  slack_in_mm: z.number().nullable(),
  take_up_mm: z.number().nullable(),
  reserve_mm: z.number().nullable(),
  conduit_mm: z.number().nullable(),
  lands: z.array(z.object({ adjuster: z.string(), name: z.string().nullable(), say: z.string().nullable() })),
});
export type CableMatch = z.infer<typeof match>;

const choice = z.object({ key: z.string(), label: z.string() });

/** What stands beside the play of a control: what it does, what is measured, and a cable being replaced. */
export const beside = z.object({
  not_settable: z.string().nullable(),
  cures: z.array(choice),
  imitators: z.array(z.string()),
  table: table.nullable(),
  measures: z.array(measure),
  window: window.nullable(),
  engagement: engagement.nullable(),
  governor: z.object({ sentence: z.string(), ...move }).nullable(),
  pull_at_mm: z.number().nullable(),
  can_pull: z.boolean(),
  can_measure_short: z.boolean(),
  pull: z
    .object({
      now: pulled.nullable(),
      fresh: pulled.nullable(),
      problem: z.string().nullable(),
      sentence: z.string(),
    })
    .nullable(),
  pack: pack.nullable(),
  reasons: z.array(choice),
  cables: z.array(z.object({ key: z.string(), label: z.string() })),
  replacing: z.object({ reason: z.string(), over: z.boolean(), match: match.nullable() }).nullable(),
  photos: z.array(z.object({ id: z.string(), of: z.string(), by: z.string(), at: z.string() })),
  refused: z.array(z.object({ part: z.string(), number: z.string() })),
});
