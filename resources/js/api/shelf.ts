import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call } from './client';

export const instrumentKinds = ['steel_rule', 'tape_marks', 'caliper', 'feeler', 'coin'] as const;
export type InstrumentKind = (typeof instrumentKinds)[number];

const calibration = z.object({ expanded_mm: z.number(), factor: z.number(), due: z.string().nullable() }).nullable();

const instrument = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(instrumentKinds),
  resolution_mm: z.number(),
  inch_marks: z.number().nullable(),
  reach_mm: z.number(),
  calibration,
  etag: z.string(),
  state: z.enum(['good', 'soon', 'overdue', 'no_date']),
  my_deviation_mm: z.number().nullable(),
  my_freedom: z.number().nullable(),
});
export type ShelfInstrument = z.infer<typeof instrument>;

const shelf = z.object({ may_keep: z.boolean(), instruments: z.array(instrument) });
export type Shelf = z.infer<typeof shelf>;

/** Sizes may be as they were typed: the server reads them. */
export type Kept = Pick<ShelfInstrument, 'name' | 'kind' | 'calibration' | 'inch_marks'> & {
  resolution_mm: number | string;
  reach_mm: number | string;
};

export const shelfQuery = queryOptions({ queryKey: ['shelf'], queryFn: () => call('GET', 'shelf', shelf) });

export const keepInstrument = (id: string, kept: Kept, seen: string | undefined) =>
  call('PUT', `shelf/${encodeURIComponent(id)}`, shelf, kept, seen);

export const putAway = (id: string) => call('DELETE', `shelf/${encodeURIComponent(id)}`, shelf);
