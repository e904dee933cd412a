import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call } from './client';
import { control, outcomes } from './shapes';

const brief = z.object({
  tag: z.string(),
  plate: z.string().nullable(),
  name: z.string(),
  kind: z.string(),
  year: z.number(),
  place: z.string(),
  usage: z.number(),
  usage_unit: z.string(),
  retired: z.boolean(),
});
export type MachineBrief = z.infer<typeof brief>;

const pastJob = z.object({
  job: z.string(),
  opened_at: z.string(),
  closed_at: z.string().nullable(),
  by: z.string().nullable(),
  usage: z.number(),
  outcome: z.enum(outcomes).nullable(),
  next_check: z.string().nullable(),
  found_mm: z.number().nullable(),
  left_mm: z.number().nullable(),
  left_expanded_mm: z.number().nullable(),
  left_verdict: z.string().nullable(),
  stands: z.array(z.object({ name: z.string(), found: z.string().nullable(), left: z.string().nullable() })),
  spec: z.string().nullable(),
  source: z.string().nullable(),
  parts: z.array(z.string()),
  reason: z.string().nullable(),
});
export type PastJob = z.infer<typeof pastJob>;

const check = z.object({
  why: z.enum(['named', 'new_part', 'new_machine', 'drift', 'book', 'practice']),
  label: z.string(),
  usage: z.number().nullable(),
  day: z.string().nullable(),
});
export type Check = z.infer<typeof check>;

const story = z.object({
  heading: z.string().nullable(),
  words: z.string().nullable(),
  cause: z.string().nullable(),
  replace: z.string().nullable(),
  intervals: z.array(
    z.object({
      from: z.string(),
      to: z.string(),
      kind: z.enum(['wear', 'bedding_in', 'jump', 'not_comparable', 'before']),
      drift_mm: z.number().nullable(),
    }),
  ),
  again: z.array(z.string()),
  ahead: z
    .object({
      from_usage: z.number(),
      from_mm: z.number(),
      per_use_mm: z.number(),
      limit_mm: z.number(),
      expected_usage: z.number().nullable(),
      bound_usage: z.number(),
    })
    .nullable(),
  next: check.extend({ all: z.array(check) }).nullable(),
});
export type WearStory = z.infer<typeof story>;

export const intake = z.object({
  id: z.string(),
  tag: z.string(),
  machine: z.string(),
  control: z.string().nullable(),
  control_name: z.string().nullable(),
  words: z.string(),
  by: z.string(),
  at: z.string(),
});
export type Intake = z.infer<typeof intake>;

const machineControl = control.extend({
  spec: z.object({
    id: z.number(),
    version: z.number(),
    document: z.string(),
    edition: z.string().nullable(),
    page: z.string().nullable(),
    entered_by: z.string().nullable(),
    checked_by: z.string().nullable(),
    draft: z.boolean(),
    common_practice: z.boolean(),
    printed: z.string().nullable(),
    interval: z.string().nullable(),
    torques: z.array(z.object({ what: z.string(), nm: z.number() })),
  }),
  adjusters: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      thread: z.string().nullable(),
      kind_label: z.string(),
      at_say: z.string().nullable(),
      room_say: z.string().nullable(),
    }),
  ),
  history: z.array(pastJob),
  story: story.nullable(),
});
export type MachineControl = z.infer<typeof machineControl>;

const machine = brief.extend({
  meter: z.object({ face: z.number(), replaced: z.boolean(), read_at: z.string().nullable(), read_today: z.boolean() }),
  etag: z.string(),
  former_tags: z.array(z.string()),
  retired_why: z.string().nullable(),
  stood_minutes: z.number().nullable(),
  controls: z.array(machineControl),
  intakes: z.array(intake),
});
export type Machine = z.infer<typeof machine>;

export const machinesQuery = (find: string, retired = false) =>
  queryOptions({
    queryKey: ['machines', find, retired],
    queryFn: () =>
      call(
        'GET',
        `machines?find=${encodeURIComponent(find)}${retired ? '&retired=too' : ''}`,
        z.object({ machines: z.array(brief) }),
      ),
  });

export const machineQuery = (tag: string) =>
  queryOptions({
    queryKey: ['machine', tag],
    queryFn: () => call('GET', `machines/${encodeURIComponent(tag)}`, machine),
  });

/** What is done to a machine outside its jobs; each answers with the machine as it stands after. */
const toMachine = <T>(method: string, path: string, body: T, seen?: string) => call(method, path, machine, body, seen);
const at = (tag: string) => `machines/${encodeURIComponent(tag)}`;

export type NewMachine = {
  tag: string;
  plate: string | null;
  name: string;
  kind: string;
  year: number;
  place: string;
  usage: number;
  usage_unit: string;
};
export const addMachine = (made: NewMachine) => toMachine('POST', 'machines', made);
export const addControl = (tag: string, spec: number) => toMachine('POST', `${at(tag)}/controls`, { spec });
export const changeMachine = (
  tag: string,
  row: { tag: string; plate: string | null; kind: string; place: string },
  seen: string | undefined,
) => toMachine('PUT', at(tag), row, seen);
export const retireMachine = (tag: string, retired: boolean, why?: string, seen?: string) =>
  toMachine('PUT', `${at(tag)}/retired`, retired ? { retired, why } : { retired }, seen);
export type MeterRead = { id: string; face: number; replaced_at?: number; sure?: boolean };
export const readMeter = (tag: string, read: MeterRead) => toMachine('POST', `${at(tag)}/meter`, read);
export const reportOdd = (tag: string, report: { id: string; words: string; control?: string }) =>
  toMachine('POST', `${at(tag)}/intakes`, report);
export const answerIntake = (id: string, answer: string) => toMachine('POST', `intakes/${id}/answer`, { answer });
