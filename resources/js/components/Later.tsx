import { type ReactNode, startTransition, useDeferredValue, useEffect, useState } from 'react';

/** How many rows are drawn: first those that are seen at once, then all of them, while the page can be used already. */
export function useGrowing(first: number): number {
  const [many, setMany] = useState(first);
  useEffect(() => startTransition(() => setMany(Number.POSITIVE_INFINITY)), []);
  return many;
}

/** What lies further down a page, drawn when what is above it stands. */
export const Later = ({ children }: { children: ReactNode }) => (useGrowing(0) > 0 ? children : null);

/**
 * What a screen shows, from the moment on when there is something: its first drawing is the long one, and is made in slices between which the page
 * answers to a finger. Whatever changes later is drawn at once.
 */
export function useFirstInSlices<T>(data: T | undefined): T | undefined {
  const begun = useDeferredValue(data !== undefined);
  return begun ? data : undefined;
}
