import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import type { SimulatedGauges } from './contract';
import { zSimulatedGauges } from './contract/zod.gen';
import { keys } from './keys';

export type SimulatedGauge = SimulatedGauges['gauges'][number];

export const simulatedQuery = queryOptions({
  queryKey: keys.simulated,
  queryFn: () => call('GET', 'simulated', zSimulatedGauges),
});

export const workGauge = (key: string, words: readonly string[]) =>
  call('POST', `simulated/${encodeURIComponent(key)}`, zSimulatedGauges, { words });
