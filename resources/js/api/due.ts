import { queryOptions } from '@tanstack/react-query';
import { AGAIN_MS, call, nothing } from './client';
import type { DueList } from './contract';
import { zDueList, zSubscribeResponse } from './contract/zod.gen';
import { keys } from './keys';

export type DueRow = DueList['due'][number];

export const dueQuery = queryOptions({
  queryKey: keys.due,
  queryFn: () => call('GET', 'due', zDueList),
  refetchInterval: AGAIN_MS,
});
/** For the day that is today at the workshop, whatever the clock of this device says; or off the bench. */
export const planControl = (tag: string, control: string, on: 'today' | null, seen?: string) =>
  call('PUT', `machines/${encodeURIComponent(tag)}/controls/${control}/plan`, zDueList, { on }, seen);
export const subscribe = () => call('POST', 'calendar', zSubscribeResponse);
export const unsubscribe = () => call('DELETE', 'calendar', nothing);
