import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call } from './client';

export const roles = ['lead', 'technician', 'apprentice', 'viewer'] as const;

const person = z.object({
  id: z.string(),
  name: z.string(),
  role: z.enum(roles),
  may_log: z.boolean(),
  may_sign_off: z.boolean(),
  may_lift_tag: z.boolean(),
  may_keep_shop: z.boolean(),
});
export type SignedIn = z.infer<typeof person>;

/** The invented people of the demo workshop; none where the workshop is a real one. */
const demoPerson = z.object({ login: z.string(), name: z.string(), role: z.enum(roles), password: z.string() });
export type DemoPerson = z.infer<typeof demoPerson>;

const session = z.object({ user: person.nullable(), demo: z.array(demoPerson) });
export type Session = z.infer<typeof session>;

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => call('GET', 'session', session),
  staleTime: Number.POSITIVE_INFINITY,
});

export const signIn = (login: string, password: string) => call('POST', 'session', session, { login, password });
export const takeOver = (login: string, pin: string) => call('POST', 'session/person', session, { login, pin });
export const changePassword = (now: string, next: string) => call('PUT', 'session/password', z.null(), { now, next });
export const changePin = (pin: string | null) => call('PUT', 'session/pin', z.null(), { pin });
export const signOut = () => call('DELETE', 'session', z.null());
