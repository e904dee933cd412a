import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import type { ShelfInstrument } from './contract';
import { zInstrumentKind, zShelf } from './contract/zod.gen';
import { keys } from './keys';

export type { InstrumentKind, Shelf, ShelfInstrument } from './contract';
export const instrumentKinds = zInstrumentKind.options;

type Certificate = NonNullable<ShelfInstrument['calibration']>;

/** Sizes may be as they were typed: the server reads them. */
export type Kept = Pick<ShelfInstrument, 'name' | 'kind' | 'inch_marks'> & {
  calibration: (Omit<Certificate, 'expanded_mm'> & { expanded_mm: number | string }) | null;
  resolution_mm: number | string;
  reach_mm: number | string;
};

export const shelfQuery = queryOptions({ queryKey: keys.shelf, queryFn: () => call('GET', 'shelf', zShelf) });

export const keepInstrument = (id: string, kept: Kept, seen: string | undefined) =>
  call('PUT', `shelf/${encodeURIComponent(id)}`, zShelf, kept, seen);

export const putAway = (id: string) => call('DELETE', `shelf/${encodeURIComponent(id)}`, zShelf);
