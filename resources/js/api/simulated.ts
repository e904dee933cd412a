import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import { zSimulatedGauges } from './contract/zod.gen';
import { keys } from './keys';

export type SimulatedGauge = { key: string; name: string; unit: 'mm' | 'N' };

export const simulatedQuery = queryOptions({
  queryKey: keys.simulated,
  queryFn: () => call('GET', 'simulated', zSimulatedGauges),
});

export const workGauge = (key: string, words: readonly string[]) =>
  call('POST', `simulated/${encodeURIComponent(key)}`, zSimulatedGauges, { words });
