import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import type { InstrumentCheck, InstrumentKind, ShelfInstrument } from './contract';
import { zCheckInstrumentResponse, zInstrumentChecksResponse, zInstrumentKind, zShelf } from './contract/zod.gen';
import { keys } from './keys';

export type { InstrumentKind, Shelf, ShelfInstrument } from './contract';
export const instrumentKinds = zInstrumentKind.options;

/** What an instrument shows, and with it the unit of its sizes: play is read with what shows lengths. */
export const shows = (kind: InstrumentKind): 'mm' | 'N' => (kind === 'force_gauge' ? 'N' : 'mm');

export type Sizes = { unit: 'mm' | 'N'; resolution: number; reach: number; expanded: number | null };

/** Its sizes, by whichever unit they are named in. */
export function sizesOf(one: ShelfInstrument): Sizes {
  const { calibration } = one;
  return {
    unit: shows(one.kind),
    resolution: one.resolution_mm ?? one.resolution_n ?? 0,
    reach: one.reach_mm ?? one.reach_n ?? 0,
    expanded:
      calibration === null ? null : 'expanded_mm' in calibration ? calibration.expanded_mm : calibration.expanded_n,
  };
}

/** Sizes may be as they were typed: the server reads them in the unit that the kind shows. */
export type Kept = Pick<ShelfInstrument, 'name' | 'kind' | 'inch_marks'> & {
  calibration: { expanded: number | string; factor: number; due: string | null } | null;
  resolution: number | string;
  reach: number | string;
};

/** Its sizes by the unit that its kind shows. */
export const named = ({ resolution, reach, calibration, ...rest }: Kept): Record<string, unknown> => {
  const unit = shows(rest.kind).toLowerCase();
  return {
    ...rest,
    [`resolution_${unit}`]: resolution,
    [`reach_${unit}`]: reach,
    calibration:
      calibration === null
        ? null
        : { [`expanded_${unit}`]: calibration.expanded, factor: calibration.factor, due: calibration.due },
  };
};

export const shelfQuery = queryOptions({ queryKey: keys.shelf, queryFn: () => call('GET', 'shelf', zShelf) });

export const keepInstrument = (id: string, kept: Kept, seen: string | undefined) =>
  call('PUT', `shelf/${encodeURIComponent(id)}`, zShelf, named(kept), seen);

export const putAway = (id: string) => call('DELETE', `shelf/${encodeURIComponent(id)}`, zShelf);

export type { CheckTold, InstrumentCheck, KeptCheck } from './contract';

const checksOf = (id: string) => `shelf/${encodeURIComponent(id)}/checks`;

export const checksQuery = (id: string) =>
  queryOptions({ queryKey: keys.checks(id), queryFn: () => call('GET', checksOf(id), zInstrumentChecksResponse) });

/** What a check tells; kept under its id where that is asked for. */
export const checkInstrument = (id: string, made: { id: string; keep: boolean; check: InstrumentCheck }) =>
  call('POST', checksOf(id), zCheckInstrumentResponse, made);
