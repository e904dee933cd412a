import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call, upload } from './client';

const importFile = z.object({
  id: z.string(),
  kind: z.enum(['history', 'readings', 'specs']),
  name: z.string(),
  state: z.enum(['waiting', 'checking', 'checked', 'running', 'done', 'failed']),
  at: z.string(),
  lines: z.number(),
  done: z.number(),
  new: z.number(),
  standing: z.number(),
  rejected_in_all: z.number(),
  rejected: z.array(z.object({ place: z.string(), why: z.string() })),
  sentence: z.string().nullable(),
});
export type ImportFile = z.infer<typeof importFile>;

const POLL_MS = 700;
const under = (state: ImportFile['state']) => state === 'waiting' || state === 'checking' || state === 'running';

export const importQuery = (id: string) =>
  queryOptions({
    queryKey: ['import', id],
    queryFn: () => call('GET', `imports/${id}`, importFile),
    refetchInterval: (query) => (query.state.data === undefined || under(query.state.data.state) ? POLL_MS : false),
  });
export const takeFile = (id: string, kind: ImportFile['kind'], file: File) =>
  upload(`imports/${id}?kind=${kind}&name=${encodeURIComponent(file.name)}`, importFile, file);
export const runImport = (id: string, withoutRejected: boolean) =>
  call('POST', `imports/${id}/run`, importFile, { without_rejected: withoutRejected });
export const forgetImport = (id: string) => call('DELETE', `imports/${id}`, z.null());
