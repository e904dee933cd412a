import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { small } from '../lib/pictures';
import { call, upload } from './client';
import { verdicts } from './jobs';

const brief = z.object({
  id: z.number(),
  model: z.string(),
  control: z.string(),
  name: z.string(),
  version: z.number(),
  draft: z.boolean(),
  family: z.string(),
  family_title: z.string(),
  says: z.string(),
  printed: z.string().nullable(),
  source: z.string(),
  common_practice: z.boolean(),
  entered_by: z.string().nullable(),
  checked_by: z.string().nullable(),
  machines: z.number(),
});
export type SpecBrief = z.infer<typeof brief>;

/** A spec and a run as they are written; the server reads every word of both, so what is not edited here passes through. */
export type Written = Record<string, unknown>;
const written = z.record(z.string(), z.unknown());

const whole = brief.omit({ machines: true }).extend({
  minutes: z.number(),
  spec: written,
  run: written.nullable(),
  checked_at: z.string().nullable(),
  content: z.string(),
  has_sketch: z.boolean(),
  taught: z
    .object({
      sentence: z.string(),
      told: z.number(),
      learned: z.number(),
      expanded: z.number(),
      point_mm: z.number().nullable(),
      wire_mm: z.number().nullable(),
      machines: z.array(
        z.object({ tag: z.string(), learned: z.number(), expanded: z.number(), at: z.string().nullable() }),
      ),
    })
    .nullable(),
  may: z.object({ change: z.boolean(), check: z.boolean(), adopt: z.boolean() }),
  versions: z.array(brief),
  machines: z.array(z.object({ tag: z.string(), version: z.number() })),
});
export type SpecWhole = z.infer<typeof whole>;
export type Taught = NonNullable<SpecWhole['taught']>;

const list = z.object({ specs: z.array(brief), total: z.number(), page: z.number(), pages: z.number() });
const read = z.object({
  low_mm: z.number().nullable(),
  high_mm: z.number().nullable(),
  disagreements: z.array(z.string()),
});
export type PrintedRead = z.infer<typeof read>;

const changes = z.object({
  looked_at: z.number(),
  changed: z.array(
    z.object({
      job: z.string(),
      tag: z.string(),
      at: z.string().nullable(),
      left_mm: z.number(),
      was: z.enum(verdicts),
      would_be: z.enum(verdicts),
      chance_inside: z.number(),
    }),
  ),
});

export type NewSpec = {
  model: string;
  control: string;
  name: string;
  minutes: number;
  spec: Written;
  run: Written;
  despite?: boolean;
};

export const specsQuery = (find: string, page: number) =>
  queryOptions({
    queryKey: ['specs', find, page],
    queryFn: () => call('GET', `specs?find=${encodeURIComponent(find)}&page=${page}`, list),
  });
export const specQuery = (id: number) =>
  queryOptions({ queryKey: ['spec', id], queryFn: () => call('GET', `specs/${id}`, whole) });
export const changesQuery = (id: number) =>
  queryOptions({ queryKey: ['spec', id, 'changes'], queryFn: () => call('GET', `specs/${id}/changes`, changes) });
const starting = z.object({
  spec: written,
  run: written,
  has_figure: z.boolean(),
  replacing: z.array(z.object({ key: z.string(), label: z.string() })),
});
export type Starting = z.infer<typeof starting>;
export const startingQuery = (family: string) =>
  queryOptions({
    queryKey: ['specs', 'starting', family],
    queryFn: () => call('GET', `specs/starting/${family}`, starting),
    staleTime: Number.POSITIVE_INFINITY,
  });
export const keepSketch = async (id: number, picture: Blob) =>
  upload(`specs/${id}/sketch`, whole, await small(picture));
export const enterSpec = (made: NewSpec) => call('POST', 'specs', whole, made);
export const changeSpec = (id: number, made: NewSpec, seen: string | undefined) =>
  call('PUT', `specs/${id}`, whole, made, seen);
export const discardSpec = (id: number) => call('DELETE', `specs/${id}`, z.null());
export const checkSpec = (id: number, content: string) => call('POST', `specs/${id}/check`, whole, { content });
export const adoptSpec = (id: number, content: string) => call('POST', `specs/${id}/adopt`, whole, { content });
export const readPrinted = (printed: string) => call('POST', 'specs/printed', read, { printed });
