import { queryOptions } from '@tanstack/react-query';
import { call } from './client';
import type { People, Role } from './contract';
import { zAudits, zLeadsDay, zOpenSessions, zPeople, zPeopleWithPassword } from './contract/zod.gen';
import { keys } from './keys';

export type Person = People['people'][number];

/** What waits for a lead, looked up each time. */
export const leadsDayQuery = queryOptions({
  queryKey: keys.leadsDay,
  queryFn: () => call('GET', 'shop/today', zLeadsDay),
});

export const peopleQuery = queryOptions({ queryKey: keys.people, queryFn: () => call('GET', 'people', zPeople) });
export const addPerson = (made: { login: string; name: string; role: Role }) =>
  call('POST', 'people', zPeopleWithPassword, made);
export const changePerson = (
  login: string,
  made: { name: string; role: Role; here: boolean },
  seen: string | undefined,
) => call('PUT', `people/${login}`, zPeople, made, seen);
export const newPassword = (login: string) => call('POST', `people/${login}/password`, zPeopleWithPassword);

export const sessionsQuery = queryOptions({
  queryKey: keys.sessions,
  queryFn: () => call('GET', 'sessions', zOpenSessions),
});
export const endSession = (key: string) => call('DELETE', `sessions/${key}`, zOpenSessions);

export const auditQuery = (before: number | null) =>
  queryOptions({
    queryKey: [...keys.audit, before],
    queryFn: () => call('GET', before === null ? 'audit' : `audit?before=${before}`, zAudits),
  });
