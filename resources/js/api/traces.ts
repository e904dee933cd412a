import { queryOptions } from '@tanstack/react-query';
import { call, upload } from './client';
import type { ReadingPoint, TraceView } from './contract';
import { zKeepTraceResponse, zTraceView } from './contract/zod.gen';
import { keys } from './keys';

export type { TraceView } from './contract';

/** Where and with what a pull was measured. */
export type Measured = { point: ReadingPoint; instrument: string; at_mm: string; reach_mm: string; to_stop: boolean };

/** The points as they are: a file, or what was typed. */
export const putTrace = (job: string, id: string, points: Blob) =>
  upload(`jobs/${job}/traces/${id}`, zKeepTraceResponse, points);

const asked = ({ point, instrument, at_mm, reach_mm, to_stop }: Measured): string =>
  new URLSearchParams({
    point,
    to_stop: to_stop ? '1' : '0',
    ...(instrument === '' ? {} : { instrument }),
    ...(at_mm === '' ? {} : { at_mm }),
    ...(reach_mm === '' ? {} : { reach_mm }),
  }).toString();

/** The curve as it is measured now; without that, as it stands in the log. */
export const traceQuery = (job: string, id: string, how: Measured | null) => {
  const query = how === null ? '' : `?${asked(how)}`;
  return queryOptions({
    queryKey: keys.trace(id, query),
    queryFn: (): Promise<TraceView> => call('GET', `jobs/${job}/traces/${id}${query}`, zTraceView),
  });
};
