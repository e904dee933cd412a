import { queryOptions } from '@tanstack/react-query';
import { AGAIN_MS, call } from './client';
import type { BenchDay } from './contract';
import { zBenchDay } from './contract/zod.gen';
import { keys } from './keys';

export type { BenchDay, BenchRow } from './contract';
export type Done = BenchDay['done'][number];

export const benchQuery = queryOptions({
  queryKey: keys.bench,
  queryFn: () => call('GET', 'bench', zBenchDay),
  refetchInterval: AGAIN_MS,
});

export const sayPresent = (people: { login: string; minutes: number }[]) =>
  call('PUT', 'bench/present', zBenchDay, { people });
