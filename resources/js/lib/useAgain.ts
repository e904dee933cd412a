import { useEffect, useEffectEvent } from 'react';
import { isBack } from '../api/client';

const AWAY_MS = 5_000;

/** Asks anew as soon as a server that was away answers. What stands on the screen stays until then. */
export function useAgain(isAway: boolean, retry: () => void): void {
  const again = useEffectEvent(retry);
  useEffect(() => {
    if (!isAway) return;
    let isOver = false;
    const timer = setInterval(() => void isBack().then((back) => back && !isOver && again()), AWAY_MS);
    return () => {
      isOver = true;
      clearInterval(timer);
    };
  }, [isAway]);
}
