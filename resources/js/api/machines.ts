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
  spec: z.string().nullable(),
  source: z.string().nullable(),
  reason: z.string().nullable(),
});
export type PastJob = z.infer<typeof pastJob>;

const machineControl = control.extend({
  spec: z.object({
    version: z.number(),
    document: z.string(),
    edition: z.string().nullable(),
    page: z.string().nullable(),
    entered_by: z.string().nullable(),
    checked_by: z.string().nullable(),
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
});
export type MachineControl = z.infer<typeof machineControl>;

const machine = brief.extend({ stood_minutes: z.number().nullable(), controls: z.array(machineControl) });
export type Machine = z.infer<typeof machine>;

export const machinesQuery = (find: string) =>
  queryOptions({
    queryKey: ['machines', find],
    queryFn: () => call('GET', `machines?find=${encodeURIComponent(find)}`, z.object({ machines: z.array(brief) })),
  });

export const machineQuery = (tag: string) =>
  queryOptions({
    queryKey: ['machine', tag],
    queryFn: () => call('GET', `machines/${encodeURIComponent(tag)}`, machine),
  });
