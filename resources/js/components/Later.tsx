import { type ReactNode, startTransition, useEffect, useState } from 'react';

/** How many rows are drawn: first those that are seen at once, then all of them, while the page can be used already. */
export function useGrowing(first: number): number {
  const [many, setMany] = useState(first);
  useEffect(() => startTransition(() => setMany(Number.POSITIVE_INFINITY)), []);
  return many;
}

/** What lies further down a page, drawn when what is above it stands. */
export const Later = ({ children }: { children: ReactNode }) => (useGrowing(0) > 0 ? children : null);
