import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call } from './client';
import { control } from './shapes';

const row = z.object({
  tag: z.string(),
  machine: z.string(),
  ready: z.enum(['ready', 'cooling', 'soaking', 'after_running']),
  soaked_at: z.string().nullable(),
  cold_at: z.string().nullable(),
  cooled_share: z.number().nullable(),
  control,
});
export type BenchRow = z.infer<typeof row>;

const bench = z.object({
  day: z.string(),
  date: z.string(),
  minutes: z.number(),
  queue: z.array(row),
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
