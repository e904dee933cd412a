import { useMutation } from '@tanstack/react-query';
import { useRef } from 'react';
import { checkInstrument, type InstrumentCheck, type KeptCheck } from '../../api/shelf';
import { uuid } from '../../lib/uuid';

/** Works a check out, and keeps it: one that is sent twice is kept once. */
export function useCheck(id: string, onKept: (checks: readonly KeptCheck[]) => void) {
  const own = useRef(uuid());
  const ask = useMutation({
    mutationFn: (made: { keep: boolean; check: InstrumentCheck }) => checkInstrument(id, { id: own.current, ...made }),
    onSuccess: ({ checks }, { keep }) => {
      if (!keep) return;
      own.current = uuid();
      onKept(checks);
    },
  });
  return ask;
}
