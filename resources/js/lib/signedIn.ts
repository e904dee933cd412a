import { createContext, useContext } from 'react';
import type { SignedIn } from '../api/session';

export const SignedInContext = createContext<SignedIn | null>(null);

/** The person at the bench. */
export function useSignedIn(): SignedIn {
  const person = useContext(SignedInContext);
  if (person === null) throw new Error('useSignedIn needs a signed-in person: render it inside <SignedInContext>.');
  return person;
}

/** What signing out does to the page; given by whoever shows it. */
export const LeaveContext = createContext<() => void>(() => undefined);
export const useLeave = (): (() => void) => useContext(LeaveContext);
