import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import type { AnswerComplaintData, ChangeCauseCountsData } from './contract';
import { zCauseCounts, zComplaint, zComplaints, zSymptoms } from './contract/zod.gen';
import { keys } from './keys';

export type { CauseCounts, Complaint, ComplaintBrief, Diagnosis, Symptoms } from './contract';

const at = (tag: string, control: string) =>
  `machines/${encodeURIComponent(tag)}/controls/${encodeURIComponent(control)}`;
const asked = (byPhone: boolean) => (byPhone ? '?by_phone=1' : '');

export const complaintsQuery = queryOptions({
  queryKey: keys.complaints,
  queryFn: () => call('GET', 'complaints', zComplaints),
});

/** What may feel wrong about a control, and which of it somebody's words seem to mean. */
export const symptomsQuery = (tag: string, control: string, words: string) =>
  queryOptions({
    queryKey: [...keys.symptoms(tag, control), words],
    queryFn: () => call('GET', `${at(tag, control)}/symptoms?words=${encodeURIComponent(words)}`, zSymptoms),
    staleTime: 0,
    // While the next word is asked for, what is known of this control stays.
    placeholderData: (before, query) =>
      query?.queryKey[1] === tag && query.queryKey[2] === control ? before : undefined,
  });

export const complaintQuery = (id: string, byPhone: boolean) =>
  queryOptions({
    queryKey: [...keys.complaint(id), byPhone],
    queryFn: () => call('GET', `complaints/${id}${asked(byPhone)}`, zComplaint),
  });

export type Said = Record<string, 'yes' | 'no' | 'not_tried'>;
export const complain = (tag: string, control: string, body: { id: string; symptoms: Said; words?: string }) =>
  call('POST', `${at(tag, control)}/complaints`, zComplaint, body);
export type GivenAnswer = AnswerComplaintData['body'];
export const answerComplaint = (id: string, body: GivenAnswer) =>
  call('POST', `complaints/${id}/answers`, zComplaint, body);
export const closeComplaint = (id: string, cause: string) =>
  call('POST', `complaints/${id}/closed`, zComplaint, { cause });

/** How often each cause of a family was found. */
export const causeCountsQuery = (family: string) =>
  queryOptions({
    queryKey: keys.causeCounts(family),
    queryFn: () => call('GET', `causes/${encodeURIComponent(family)}`, zCauseCounts),
  });
export const changeCounts = (family: string, body: ChangeCauseCountsData['body'], seen: string | undefined) =>
  call('PUT', `causes/${encodeURIComponent(family)}`, zCauseCounts, body, seen);
