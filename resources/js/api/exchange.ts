import { queryOptions } from '@tanstack/react-query';
import { call, nothing, upload } from './client';
import type { ImportFile } from './contract';
import { zImportFile } from './contract/zod.gen';
import { keys } from './keys';

export type { ImportFile } from './contract';

const POLL_MS = 700;
const under = (state: ImportFile['state']) => state === 'waiting' || state === 'checking' || state === 'running';

export const importQuery = (id: string) =>
  queryOptions({
    queryKey: keys.import(id),
    queryFn: () => call('GET', `imports/${id}`, zImportFile),
    refetchInterval: (query) => (query.state.data === undefined || under(query.state.data.state) ? POLL_MS : false),
  });
export const takeFile = (id: string, kind: ImportFile['kind'], file: File) =>
  upload(`imports/${id}?kind=${kind}&name=${encodeURIComponent(file.name)}`, zImportFile, file);
export const runImport = (id: string, withoutRejected: boolean) =>
  call('POST', `imports/${id}/run`, zImportFile, { without_rejected: withoutRejected });
export const forgetImport = (id: string) => call('DELETE', `imports/${id}`, nothing);
