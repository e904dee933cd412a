import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call } from './client';

const row = z.object({
  tag: z.string(),
  machine: z.string(),
  place: z.string(),
  control: z.string(),
  control_name: z.string(),
  due_on: z.string().nullable(),
  days: z.number().nullable(),
  usage_left: z.number().nullable(),
  usage_unit: z.string(),
  why: z.string().nullable(),
  planned_on: z.string().nullable(),
  plan_etag: z.string(),
  minutes: z.number(),
});
export type DueRow = z.infer<typeof row>;

const due = z.object({ due: z.array(row), calendar: z.boolean() });

export const dueQuery = queryOptions({ queryKey: ['due'], queryFn: () => call('GET', 'due', due) });
export const planControl = (tag: string, control: string, on: string | null, seen?: string) =>
  call('PUT', `machines/${encodeURIComponent(tag)}/controls/${control}/plan`, due, { on }, seen);
export const subscribe = () => call('POST', 'calendar', z.object({ path: z.string() }));
export const unsubscribe = () => call('DELETE', 'calendar', z.null());
