import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import { zGaugeBridges, zGaugeReading, zJobGauges, zMadeGaugeBridge } from './contract/zod.gen';
import { keys } from './keys';

export type { Gauge, GaugeBridge, GaugeReading, GaugeRecording, JobGauges } from './contract';

export const gaugesQuery = (job: string) =>
  queryOptions({ queryKey: keys.gauges(job), queryFn: () => call('GET', `jobs/${job}/gauges`, zJobGauges) });

const gauge = (job: string, instrument: string) => `jobs/${job}/gauges/${encodeURIComponent(instrument)}`;

export const listenTo = (job: string, instrument: string) => call('PUT', gauge(job, instrument), zJobGauges);

export const letGo = (job: string, instrument: string) => call('DELETE', gauge(job, instrument), zJobGauges);

export const dropReading = (job: string, id: string) => call('DELETE', `jobs/${job}/gauges/readings/${id}`, zJobGauges);

export const dropRecording = (job: string, trace: string) =>
  call('DELETE', `jobs/${job}/gauges/recordings/${trace}`, zJobGauges);

/** Where what gauges send to this job is told the moment it comes. */
export const gaugeStream = (job: string) => `/api/jobs/${job}/gauges/stream`;

/** What the stream tells; null where it is no reading. */
export const toldReading = (data: string) => {
  const parsed = zGaugeReading.safeParse(JSON.parse(data));
  return parsed.success ? parsed.data : null;
};

export const bridgesQuery = queryOptions({
  queryKey: keys.bridges,
  queryFn: () => call('GET', 'bridges', zGaugeBridges),
  refetchInterval: 15_000,
});

export const addBridge = (name: string) => call('POST', 'bridges', zMadeGaugeBridge, { name });

export const endBridge = (id: string) => call('DELETE', `bridges/${id}`, zGaugeBridges);
