import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { small } from '../lib/pictures';
import { beside } from './beside';
import { call, upload } from './client';
import { roles } from './session';
import { band, outcomes, tag } from './shapes';

export const stages = ['make_safe', 'look_over', 'as_found', 'set', 'prove', 'close'] as const;
export type StageKey = (typeof stages)[number];

export const verdicts = ['inside', 'too_loose', 'too_tight', 'taut', 'cant_tell', 'not_judged', 'unread'] as const;
export type VerdictKey = (typeof verdicts)[number];

const answer = z.object({
  word: z.string(),
  /** What may be typed for it: its word, or the first words of its label. */
  hint: z.string(),
  label: z.string(),
  kind: z.string(),
  body: z.record(z.string(), z.unknown()),
  tone: z.enum(['right', 'plain', 'wrong']),
  asks_remark: z.boolean(),
  question: z.string().nullable(),
});
export type Answer = z.infer<typeof answer>;

const item = z.object({
  key: z.string(),
  kind: z.enum(['answer', 'thread', 'reading', 'measure', 'compare', 'photo', 'in_band', 'sign_off']),
  label: z.string(),
  done: z.boolean(),
  failed: z.boolean(),
  said: z.string().nullable(),
  detail: z.string().nullable(),
  caution: z.string().nullable(),
  about: z.string().nullable(),
  is_second: z.boolean(),
  measure: z.string().nullable(),
  by: z.string().nullable(),
  at: z.string().nullable(),
  answers: z.array(answer),
});
export type Item = z.infer<typeof item>;

const stage = z.object({
  key: z.enum(stages),
  title: z.string(),
  done: z.boolean(),
  summary: z.string(),
  cautions: z.array(z.string()),
  items: z.array(item),
  together: z.object({ word: z.string(), label: z.string(), keys: z.array(z.string()) }).nullable(),
});
export type Stage = z.infer<typeof stage>;

export const adjusterKinds = [
  'barrel',
  'in_line',
  'bracket_nuts',
  'hollow_bolt',
  'cam_screw',
  'rung_clamp',
  'slotted_bracket',
  'pinch_clamp',
  'hook_holes',
  'push_rod_a',
  'push_rod_b',
  'spline_arm',
  'governor_nut',
  'self_adjuster',
  'none',
] as const;
export type AdjusterKind = (typeof adjusterKinds)[number];

const adjuster = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(adjusterKinds),
  kind_label: z.string(),
  cable: z.string(),
  pulls: z.enum(['opening', 'closing', 'following']),
  sets: z.enum(['play', 'mechanism', 'speed', 'nothing']),
  thread: z.string().nullable(),
  mm_per_unit: z.number(),
  unit: z.enum(['turn', 'click', 'bevel', 'rung', 'hole', 'tooth', 'mm']),
  units: z.string(),
  letters: z.string(),
  outward: z.string(),
  inward: z.string(),
  sense: z.string(),
  travel_mm: z.number(),
  places: z.array(z.number()),
  healthy_from_mm: z.number(),
  healthy_to_mm: z.number(),
  at_mm: z.number().nullable(),
  at_say: z.string().nullable(),
  room_say: z.string().nullable(),
  room_way: z.string(),
  home_mm: z.number().nullable(),
  home_say: z.string().nullable(),
  caution: z.string().nullable(),
  guide: z.array(z.object({ key: z.string(), label: z.string(), caution: z.string().nullable() })),
  guide_done: z.number(),
  touched: z.boolean(),
  locked: z.boolean(),
  healthy: z.boolean(),
  cover: z.string().nullable(),
  cover_off: z.boolean(),
  minutes: z.number(),
  tools: z.string(),
  lock: z.string().nullable(),
  lock_torque_nm: z.number().nullable(),
});
export type Adjuster = z.infer<typeof adjuster>;

const judged = z.object({
  mm: z.number().nullable(),
  expanded_mm: z.number().nullable(),
  standard_mm: z.number().nullable(),
  freedom: z.number().nullable(),
  count: z.number(),
  instrument: z.string().nullable(),
  overdue_since: z.string().nullable(),
  converted_from: z.string().nullable(),
  left_out: z.array(z.string()),
  doubt: z.string().nullable(),
  verdict: z.enum(verdicts),
  sentence: z.string(),
  advice: z.string().nullable(),
  chance_inside: z.number().nullable(),
  beyond_mm: z.number(),
});
export type Judged = z.infer<typeof judged>;

export const poses = ['straight', 'left', 'right'] as const;
export type PoseKey = (typeof poses)[number];

const pose = judged.extend({
  pose: z.enum(poses),
  label: z.string(),
  offset_mm: z.number(),
  offset_u_mm: z.number(),
  offset_read: z.boolean(),
});
export type PoseReading = z.infer<typeof pose>;

const option = z.object({
  adjuster: z.string(),
  kind: z.enum(['move', 'give_slack', 'out_of_thread']),
  direction: z.string().nullable(),
  rotation: z.enum(['clockwise', 'anticlockwise']).nullable(),
  seen_from: z.string(),
  say: z.string().nullable(),
  steps: z.number().nullable(),
  phrase: z.string().nullable(),
  grows_mm: z.number().nullable(),
  expected_mm: z.number().nullable(),
  low_mm: z.number().nullable(),
  high_mm: z.number().nullable(),
  chance: z.number().nullable(),
  room_say: z.string().nullable(),
  healthy_after: z.boolean(),
  sentence: z.string(),
});
export type Option = z.infer<typeof option>;

const logRow = z.object({
  id: z.string(),
  at: z.string(),
  by: z.string(),
  kind: z.string(),
  what: z.string(),
  mm: z.number().nullable(),
  mean_mm: z.number().nullable(),
  expanded_mm: z.number().nullable(),
  count: z.number().nullable(),
  change_mm: z.number().nullable(),
  says: z.string().nullable(),
  voided: z.string().nullable(),
  can_uphold: z.boolean(),
  can_void: z.boolean(),
  can_amend: z.boolean(),
});
export type LogRow = z.infer<typeof logRow>;

const instrument = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.string(),
  resolution_mm: z.number(),
  inch_marks: z.number().nullable(),
  reach_mm: z.number(),
  calibration: z.object({ expanded_mm: z.number(), factor: z.number(), due: z.string().nullable() }).nullable(),
  readings: z.number().nullable(),
  warning: z.string().nullable(),
});
export type Instrument = z.infer<typeof instrument>;

export const points = [
  'lever_tip',
  'perch_gap',
  'ferrule_gap',
  'release_arm',
  'grip_flange',
  'grip_backward',
  'carburettor_barrel',
  'handle_travel',
] as const;
export type PointKey = (typeof points)[number];

/** What is shown of one cable: of a push-pull pair, the closing one can stand in the opening one's place. */
const side = z.object({
  spec: z.object({
    point: z.enum(points).nullable(),
    points: z.array(z.object({ key: z.enum(points), label: z.string(), how_to_read: z.string() })),
    point_label: z.string().nullable(),
    how_to_read: z.string().nullable(),
    band,
    say: z.string(),
    engine: z.enum(['cold', 'hot']).nullable(),
    wheels: z.string().nullable(),
    poses: z.array(z.object({ key: z.enum(poses), label: z.string() })),
    policy: z.enum(['middle', 'crisp', 'loose']),
    policy_label: z.string(),
    mode: z.enum(['touch_up', 'service']),
    parking: z.enum(['threads', 'in_then_back', 'middle']),
    like: z.string().nullable(),
    aims_wish: z.boolean(),
    rule: z.string(),
    source: z.string(),
    entered_by: z.string().nullable(),
    checked_by: z.string().nullable(),
    torques: z.array(z.object({ what: z.string(), nm: z.number() })),
  }),
  found: judged,
  now: judged,
  poses: z.array(pose),
  working_band: band.nullable(),
  expected: z.object({ mm: z.number(), low_mm: z.number(), high_mm: z.number() }).nullable(),
  learned: z.object({
    point: z.string().nullable(),
    ratio: z.number(),
    ratio_deviation: z.number(),
    ln_ratio: z.number(),
    spread: z.number(),
    taught: z.boolean(),
    machines: z.number(),
    finding: z.object({ sentence: z.string(), told: z.number(), learned: z.number(), expanded: z.number() }).nullable(),
    sides_mm: z.number().nullable(),
    creep_mm: z.number(),
    moves: z.number(),
    per_step: z.array(z.object({ adjuster: z.string(), unit: z.string(), mm: z.number(), expanded_mm: z.number() })),
  }),
  next: z.object({
    kind: z.enum([
      'read',
      'move',
      'decide',
      'prove',
      'guided',
      'out_of_thread',
      'table',
      'not_settable',
      'routing_fault',
      'suspect',
      'over',
    ]),
    sentence: z.string(),
    recommended: z.string().nullable(),
    target_mm: z.number().nullable(),
    options: z.array(option),
    plan: z
      .object({
        steps: z.array(option),
        done: z.number(),
        why: z.string().nullable(),
        runner_up: z.string().nullable(),
      })
      .nullable(),
  }),
  shelf: z.array(instrument),
});

const state = side.extend({
  pair: side.nullable(),
  first_label: z.string().nullable(),
  second_label: z.string().nullable(),
  beside,
  engine: z.string(),
  head: z.string(),
  family: z.object({ key: z.string(), title: z.string(), allows_by_choice: z.boolean() }),
  hand: z.object({
    kind: z.enum(['lever', 'grip', 'trigger', 'handle', 'bail', 'pedal', 'selector']),
    name: z.string(),
    ratio: z.number(),
    knowledge: z.string(),
  }),
  working_end: z.string(),
  stage: z.enum(stages),
  stages: z.array(stage),
  asks: z.string().nullable(),
  condition: z
    .object({ engine: z.enum(['cold', 'hot']).nullable(), wheels: z.string().nullable(), label: z.string() })
    .nullable(),
  adjusters: z.array(adjuster),
  way_home: z.array(
    z.object({
      adjuster: z.string(),
      name: z.string(),
      say: z.string().nullable(),
      body: z.record(z.string(), z.unknown()).nullable(),
    }),
  ),
  gates: z.array(
    z.object({
      key: z.string(),
      title: z.string(),
      status: z.enum(['passed', 'failed', 'unknown']),
      sentence: z.string(),
    }),
  ),
  closing: z.object({ fit: z.array(z.string()), by_choice: z.array(z.string()), tagged: z.array(z.string()) }),
  tag: tag.nullable(),
  wish: z
    .object({
      say: z.string(),
      play_mm: z.number().nullable(),
      bite: z.string().nullable(),
      said: z.string().nullable(),
    })
    .nullable(),
  may_wish_bite: z.boolean(),
  by_choice: z.string().nullable(),
  closed: z
    .object({ outcome: z.enum(outcomes), next_check: z.string().nullable(), at: z.string(), by: z.string() })
    .nullable(),
  people: z.array(z.object({ id: z.string(), name: z.string(), role: z.enum(roles) })),
  parts: z.array(z.object({ key: z.string(), label: z.string() })),
  warnings: z.array(z.string()),
  log: z.array(logRow),
});
export type BenchState = z.infer<typeof state>;
export type Point = BenchState['spec']['points'][number];

const job = z.object({
  id: z.string(),
  opened_at: z.string(),
  corrects: z.string().nullable(),
  from_file: z.boolean(),
  people: z.array(z.object({ name: z.string(), role: z.enum(roles), at: z.string() })),
  machine: z.object({
    tag: z.string(),
    name: z.string(),
    usage: z.number(),
    usage_unit: z.string(),
    stood_minutes: z.number().nullable(),
  }),
  control: z.object({ key: z.string(), name: z.string() }),
  state,
});
export type Job = z.infer<typeof job>;

/** What was before the person's eyes when they wrote, so that the server knows what a bare `+3f` means. */
export type Shown = {
  adjuster?: string | undefined;
  steps?: number | undefined;
  pose?: PoseKey | undefined;
  point?: PointKey | undefined;
  instrument?: string | undefined;
  item?: string | undefined;
  measure?: string | undefined;
  of?: string | undefined;
};

/** What goes into the log: a typed line with what was shown beside it, or a kind with its body. */
export type Draft = { line: string; shown: Shown } | { kind: string; body: Record<string, unknown> };

/** A picture, made small before it is sent; the server drops what a phone wrote into it. */
export const putPhoto = async (job: string, id: string, picture: Blob) =>
  upload(`jobs/${job}/photos/${id}`, z.object({ id: z.string() }), await small(picture));

const POLL_MS = 8_000;

export const jobQuery = (id: string) =>
  queryOptions({
    queryKey: ['job', id],
    queryFn: () => call('GET', `jobs/${id}`, job),
    refetchInterval: (query) => (query.state.data?.state.closed ? false : POLL_MS),
  });

const modelParts = z.object({
  parts: z.array(
    z.object({ number: z.string(), part: z.string(), fits: z.boolean(), tag: z.string(), on: z.string() }),
  ),
});
/** What was fitted to machines of the model, and what did not fit. */
export const modelPartsQuery = (id: string) =>
  queryOptions({ queryKey: ['parts', id], queryFn: () => call('GET', `jobs/${id}/parts`, modelParts) });

const alike = z.object({
  machines: z.array(z.object({ machine: z.string(), name: z.string(), left_mm: z.number(), at: z.string() })),
});

/** Machines whose control of the same make was left fit for use: what this one can be set like. */
export const alikeQuery = (id: string) =>
  queryOptions({ queryKey: ['alike', id], queryFn: () => call('GET', `jobs/${id}/alike`, alike) });

export const openJob = (machine: string, id: string, control: string) =>
  call('POST', `machines/${encodeURIComponent(machine)}/jobs`, job, { id, control });

export const postEntry = (jobId: string, entry: Record<string, unknown>) =>
  call('POST', `jobs/${jobId}/entries`, job, entry);

export const correctJob = (id: string, made: string, why: string) =>
  call('POST', `jobs/${id}/correction`, job, { id: made, why });
