import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call } from './client';
import { roles } from './session';

const person = z.object({
  login: z.string(),
  name: z.string(),
  role: z.enum(roles),
  has_pin: z.boolean(),
  left_at: z.string().nullable(),
  etag: z.string(),
});
export type Person = z.infer<typeof person>;

const people = z.object({ people: z.array(person) });

export const peopleQuery = queryOptions({ queryKey: ['people'], queryFn: () => call('GET', 'people', people) });

const withPassword = people.extend({ password: z.string() });
export const addPerson = (made: { login: string; name: string; role: string }) =>
  call('POST', 'people', withPassword, made);
export const changePerson = (
  login: string,
  made: { name: string; role: string; here: boolean },
  seen: string | undefined,
) => call('PUT', `people/${login}`, people, made, seen);
export const newPassword = (login: string) => call('POST', `people/${login}/password`, withPassword);

const openSession = z.object({
  key: z.string(),
  name: z.string(),
  address: z.string().nullable(),
  device: z.string(),
  last_seen: z.string(),
  this_one: z.boolean(),
});
export type OpenSession = z.infer<typeof openSession>;
const sessions = z.object({ sessions: z.array(openSession) });
export const sessionsQuery = queryOptions({
  queryKey: ['sessions'],
  queryFn: () => call('GET', 'sessions', sessions),
});
export const endSession = (key: string) => call('DELETE', `sessions/${key}`, sessions);

const audit = z.object({
  id: z.number(),
  at: z.string(),
  by: z.string().nullable(),
  action: z.string(),
  about: z.string(),
  detail: z.record(z.string(), z.unknown()),
});
export type Audit = z.infer<typeof audit>;
const audits = z.object({ audits: z.array(audit), more: z.boolean() });
export const auditQuery = (before: number | null) =>
  queryOptions({
    queryKey: ['audit', before],
    queryFn: () => call('GET', before === null ? 'audit' : `audit?before=${before}`, audits),
  });
