import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { isBack } from '../api/client';
import { asOf } from './asOf';
import { outbox } from './outbox';

const AWAY_MS = 5_000;

/** Whether the server does not answer, and whether anything kept from before stands on the screen. */
export function useConnection(): { isCut: boolean; isOld: boolean } {
  const isCut = useSyncExternalStore(outbox.subscribe, () => outbox.status() === 'cut');
  const isOld = useSyncExternalStore(asOf.subscribe, asOf.stands);
  return { isCut, isOld };
}

/** Asks for all on the screen anew as soon as a server that was away answers. What stands there stays until then. */
export function useAgain(): void {
  const client = useQueryClient();
  const { isCut, isOld } = useConnection();
  const isAway = isCut || isOld;
  useEffect(() => {
    if (!isAway) return;
    let isOver = false;
    const again = async () => {
      if (!(await isBack()) || isOver) return;
      asOf.anew();
      await client.refetchQueries({ type: 'active' });
    };
    const timer = setInterval(() => void again(), AWAY_MS);
    return () => {
      isOver = true;
      clearInterval(timer);
    };
  }, [isAway, client]);
}
