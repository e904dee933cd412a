import { useEffect, useState } from 'react';

const GUARD_MS = 350;

/** False for a moment after the question changed, so that a second tap cannot answer the next one unread. */
export function useArmed(question: string): boolean {
  const [armed, setArmed] = useState<string | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setArmed(question), GUARD_MS);
    return () => clearTimeout(timer);
  }, [question]);
  return armed === question;
}
