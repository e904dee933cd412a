import { queryOptions } from '@tanstack/react-query';
import { call, nothing, Problem } from './client';
import type { ChosenUnits, Session } from './contract';
import { zRole, zSession } from './contract/zod.gen';
import { keys } from './keys';

export type { Session, SignedIn } from './contract';
/** The invented people of the demo workshop; none where the workshop is a real one. */
export type DemoPerson = Session['demo'][number];
export const roles = zRole.options;

/** A sign-out that did not get through: until it has, nobody is signed in here, whatever the server still thinks. */
const OWED = 'vivid-pull.sign-out-owed';

async function whoIsHere(): Promise<Session> {
  if (localStorage.getItem(OWED) !== null) {
    await signOut();
    if (localStorage.getItem(OWED) !== null) return { user: null, demo: [] };
  }
  return call('GET', 'session', zSession);
}

export const sessionQuery = queryOptions({
  queryKey: keys.session,
  queryFn: whoIsHere,
  staleTime: Number.POSITIVE_INFINITY,
});

export async function signIn(login: string, password: string): Promise<Session> {
  const now = await call('POST', 'session', zSession, { login, password });
  localStorage.removeItem(OWED);
  return now;
}
export const takeOver = (login: string, pin: string) => call('POST', 'session/person', zSession, { login, pin });
export const changePassword = (now: string, next: string) => call('PUT', 'session/password', nothing, { now, next });
export const changePin = (pin: string | null, password: string) =>
  call('PUT', 'session/pin', nothing, { pin, password });
export type { ChosenUnits, Units } from './contract';
export const chooseUnits = (chosen: Partial<ChosenUnits>) => call('PUT', 'session/units', zSession, chosen);
/** Whether one person works alone here, so that specs judge without a second person's check. */
export const worksAlone = (alone: boolean) => call('PUT', 'shop/alone', zSession, { alone });
export const chooseShopUnits = (chosen: Partial<ChosenUnits>) => call('PUT', 'shop/units', zSession, chosen);
/** Signs out, or keeps it in mind until the server answers. */
export async function signOut(): Promise<void> {
  try {
    await call('DELETE', 'session', nothing);
    localStorage.removeItem(OWED);
  } catch (error) {
    if (error instanceof Problem && error.status === 401) localStorage.removeItem(OWED);
    else localStorage.setItem(OWED, 'yes');
  }
}
