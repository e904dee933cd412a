import { queryOptions } from '@tanstack/react-query';
import { small } from '../lib/pictures';
import { call, nothing, upload } from './client';
import type { NewSpec, Spec, StartingSpecResponse } from './contract';
import { zPrintedRead, zSpec, zSpecChanges, zSpecList, zStartingSpecResponse } from './contract/zod.gen';
import { keys } from './keys';

export type { NewSpec, PrintedRead, Spec as SpecWhole, SpecBrief } from './contract';
export type Starting = StartingSpecResponse;
export type Taught = NonNullable<Spec['taught']>;

/** A spec and a run as they are written; the server reads every word of both, so what is not edited here passes through. */
export type Written = Record<string, unknown>;

export const specsQuery = (find: string, page: number) =>
  queryOptions({
    queryKey: [...keys.specs, find, page],
    queryFn: () => call('GET', `specs?find=${encodeURIComponent(find)}&page=${page}`, zSpecList),
  });
export const specQuery = (id: number) =>
  queryOptions({ queryKey: keys.spec(id), queryFn: () => call('GET', `specs/${id}`, zSpec) });
export const changesQuery = (id: number) =>
  queryOptions({
    queryKey: [...keys.spec(id), 'changes'],
    queryFn: () => call('GET', `specs/${id}/changes`, zSpecChanges),
  });
export const startingQuery = (family: string) =>
  queryOptions({
    queryKey: [...keys.specs, 'starting', family],
    queryFn: () => call('GET', `specs/starting/${family}`, zStartingSpecResponse),
    staleTime: Number.POSITIVE_INFINITY,
  });
export const keepSketch = async (id: number, picture: Blob) =>
  upload(`specs/${id}/sketch`, zSpec, await small(picture));
export const enterSpec = (made: NewSpec) => call('POST', 'specs', zSpec, made);
export const changeSpec = (id: number, made: NewSpec, seen: string | undefined) =>
  call('PUT', `specs/${id}`, zSpec, made, seen);
export const discardSpec = (id: number) => call('DELETE', `specs/${id}`, nothing);
export const checkSpec = (id: number, content: string) => call('POST', `specs/${id}/check`, zSpec, { content });
export const adoptSpec = (id: number, content: string) => call('POST', `specs/${id}/adopt`, zSpec, { content });
export const readPrinted = (printed: string) => call('POST', 'specs/printed', zPrintedRead, { printed });
