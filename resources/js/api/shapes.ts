import { z } from 'zod';

export const band = z.object({ low_mm: z.number().nullable(), high_mm: z.number().nullable() });
export type Band = z.infer<typeof band>;

export const tag = z.object({ reason: z.string(), at: z.string(), by: z.string() });
export type TagOnMachine = z.infer<typeof tag>;

export const outcomes = ['fit', 'by_choice', 'tagged'] as const;
export type Outcome = (typeof outcomes)[number];

/** One control in a list: its band, what was found and left, and the job open on it. */
export const control = z.object({
  key: z.string(),
  name: z.string(),
  minutes: z.number(),
  band,
  point_label: z.string().nullable(),
  family: z.string(),
  engine: z.enum(['cold', 'hot']).nullable(),
  wish: z.string().nullable(),
  job: z.string().nullable(),
  stage: z.string().nullable(),
  moves: z.number(),
  found_mm: z.number().nullable(),
  now_mm: z.number().nullable(),
  left_mm: z.number().nullable(),
  left_outcome: z.enum(outcomes).nullable(),
  left_open: z.array(z.string()),
  left_at: z.string().nullable(),
  next: z.string().nullable(),
  by: z.string().nullable(),
  at: z.string().nullable(),
  handover: z.string().nullable(),
  due_on: z.string().nullable(),
  due_in: z.string().nullable(),
  due_why: z.string().nullable(),
  planned_on: z.string().nullable(),
  covers: z.record(z.string(), z.number()),
  tag: tag.nullable(),
});
export type Control = z.infer<typeof control>;
