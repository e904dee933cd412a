import { queryOptions } from '@tanstack/react-query';
import { small } from '../lib/pictures';
import { call, upload } from './client';
import type { BenchState, Pose, ReadingPoint } from './contract';
import { zAlike, zJob, zJobStage, zKeepPhotoResponse, zModelPartsResponse } from './contract/zod.gen';
import { keys } from './keys';

export type {
  Adjuster,
  AdjusterKind,
  Answer,
  BenchState,
  Instrument,
  Item,
  Job,
  JobStage as StageKey,
  Judged,
  LogRow,
  Option,
  Pose as PoseKey,
  PoseReading,
  ReadingPoint as PointKey,
  Stage,
  VerdictKind as VerdictKey,
} from './contract';
export const stages = zJobStage.options;

export type Point = BenchState['spec']['points'][number];

/** What was before the person's eyes when they wrote, so that the server knows what a bare `+3f` means. */
export type Shown = {
  adjuster?: string | undefined;
  steps?: number | undefined;
  pose?: Pose | undefined;
  point?: ReadingPoint | undefined;
  instrument?: string | undefined;
  item?: string | undefined;
  measure?: string | undefined;
  of?: string | undefined;
  /** Whether a gauge sent the line. */
  gauge?: boolean | undefined;
};

/** What goes into the log: a typed line with what was shown beside it, or a kind with its body. */
export type Draft = { line: string; shown: Shown } | { kind: string; body: Record<string, unknown> };

/** A picture, made small before it is sent; the server drops what a phone wrote into it. */
export const putPhoto = async (job: string, id: string, picture: Blob) =>
  upload(`jobs/${job}/photos/${id}`, zKeepPhotoResponse, await small(picture));

const POLL_MS = 8_000;

export const jobQuery = (id: string) =>
  queryOptions({
    queryKey: keys.job(id),
    queryFn: () => call('GET', `jobs/${id}`, zJob),
    refetchInterval: (query) => (query.state.data?.state.closed ? false : POLL_MS),
  });

/** What was fitted to machines of the model, and what did not fit. */
export const modelPartsQuery = (id: string) =>
  queryOptions({ queryKey: keys.parts(id), queryFn: () => call('GET', `jobs/${id}/parts`, zModelPartsResponse) });

/** Machines whose control of the same make was left fit for use: what this one can be set like. */
export const alikeQuery = (id: string) =>
  queryOptions({ queryKey: keys.alike(id), queryFn: () => call('GET', `jobs/${id}/alike`, zAlike) });

export const openJob = (machine: string, id: string, control: string, check = false) =>
  call('POST', `machines/${encodeURIComponent(machine)}/jobs`, zJob, check ? { id, control, check } : { id, control });

export const postEntry = (jobId: string, entry: Record<string, unknown>) =>
  call('POST', `jobs/${jobId}/entries`, zJob, entry);

export const correctJob = (id: string, made: string, why: string) =>
  call('POST', `jobs/${id}/correction`, zJob, { id: made, why });
