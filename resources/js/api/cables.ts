import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import type { NewCable } from './contract';
import { zBookOfCables, zFittingCables } from './contract/zod.gen';
import { keys } from './keys';

export type { CableEnd, FittingCable, FittingCables, KnownCable, NewCable } from './contract';

export const cablesQuery = queryOptions({ queryKey: keys.cables, queryFn: () => call('GET', 'cables', zBookOfCables) });

/** Which known cable fits a control, best first. */
export const fittingQuery = (tag: string, control: string) =>
  queryOptions({
    queryKey: [...keys.cables, tag, control],
    queryFn: () =>
      call('GET', `machines/${encodeURIComponent(tag)}/controls/${encodeURIComponent(control)}/cables`, zFittingCables),
  });

export const keepCable = (id: string, kept: NewCable, seen: string | undefined) =>
  call('PUT', `cables/${id}`, zBookOfCables, kept, seen);

export const leaveOutCable = (id: string) => call('DELETE', `cables/${id}`, zBookOfCables);
