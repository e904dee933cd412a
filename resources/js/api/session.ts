import { queryOptions } from '@tanstack/react-query';
import { z } from 'zod';
import { call, Problem } from './client';

export const roles = ['lead', 'technician', 'apprentice', 'viewer'] as const;

const person = z.object({
  id: z.string(),
  name: z.string(),
  role: z.enum(roles),
  may_log: z.boolean(),
  may_sign_off: z.boolean(),
  may_lift_tag: z.boolean(),
  may_keep_shop: z.boolean(),
  /** Took over by PIN: what only a lead may do asks for the password first. */
  asks_password: z.boolean(),
});
export type SignedIn = z.infer<typeof person>;

/** The invented people of the demo workshop; none where the workshop is a real one. */
const demoPerson = z.object({ login: z.string(), name: z.string(), role: z.enum(roles), password: z.string() });
export type DemoPerson = z.infer<typeof demoPerson>;

const session = z.object({ user: person.nullable(), demo: z.array(demoPerson) });
export type Session = z.infer<typeof session>;

/** A sign-out that did not get through: until it has, nobody is signed in here, whatever the server still thinks. */
const OWED = 'vivid-pull.sign-out-owed';

async function whoIsHere(): Promise<Session> {
  if (localStorage.getItem(OWED) !== null) {
    await signOut();
    if (localStorage.getItem(OWED) !== null) return { user: null, demo: [] };
  }
  return call('GET', 'session', session);
}

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: whoIsHere,
  staleTime: Number.POSITIVE_INFINITY,
});

export async function signIn(login: string, password: string): Promise<Session> {
  const now = await call('POST', 'session', session, { login, password });
  localStorage.removeItem(OWED);
  return now;
}
export const takeOver = (login: string, pin: string) => call('POST', 'session/person', session, { login, pin });
export const changePassword = (now: string, next: string) => call('PUT', 'session/password', z.null(), { now, next });
export const changePin = (pin: string | null, password: string) =>
  call('PUT', 'session/pin', z.null(), { pin, password });
/** Signs out, or keeps it in mind until the server answers. */
export async function signOut(): Promise<void> {
  try {
    await call('DELETE', 'session', z.null());
    localStorage.removeItem(OWED);
  } catch (error) {
    if (error instanceof Problem && error.status === 401) localStorage.removeItem(OWED);
    else localStorage.setItem(OWED, 'yes');
  }
}
