import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call } from './client';
import { intake } from './machines';
import { control, outcomes } from './shapes';

const row = z.object({
  tag: z.string(),
  machine: z.string(),
  ready: z.enum(['cold', 'any', 'cooling', 'soaking', 'hot']),
  soaked_at: z.string().nullable(),
  cold_at: z.string().nullable(),
  cooled_share: z.number().nullable(),
  waits: z.boolean(),
  spent: z.number().nullable(),
  minutes: z.number(),
  covers_shared: z.array(z.string()),
  person: z.string().nullable(),
  control,
});
export type BenchRow = z.infer<typeof row>;

const present = z.object({ login: z.string(), name: z.string(), minutes: z.number() });
export type Present = z.infer<typeof present>;

const done = z.object({
  job: z.string(),
  tag: z.string(),
  control_name: z.string(),
  planned: z.number(),
  spent: z.number(),
  outcome: z.enum(outcomes).nullable(),
});
export type Done = z.infer<typeof done>;

const bench = z.object({
  day: z.string(),
  date: z.string(),
  minutes: z.number(),
  present: z.array(present),
  queue: z.array(row),
  done: z.array(done),
  intakes: z.array(intake),
  carry_on: row.nullable(),
  tagged: z.array(row),
  due: z.array(row),
});
export type BenchDay = z.infer<typeof bench>;

export const benchQuery = queryOptions({
  queryKey: ['bench'],
  queryFn: () => call('GET', 'bench', bench),
  refetchInterval: 30_000,
});

export const sayPresent = (people: { login: string; minutes: number }[]) =>
  call('PUT', 'bench/present', bench, { people });
