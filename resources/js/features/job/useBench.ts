import { createContext, useContext, useMemo, useRef, useSyncExternalStore } from 'react';
import type { Job } from '../../api/jobs';
import { type Connection, type KeptEntry, outbox } from '../../lib/outbox';
import { keepLine, lineKey, preferencesOf } from '../../lib/preferences';
import { useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';
import { useKeysAnywhere } from './useKeysAnywhere';
import { type Selection, useSelection } from './useSelection';
import { type Sending, useSending } from './useSending';

export { settles, WHOLE_GROUP } from './asks';
export type { Picked } from './useSelection';

/** Everything the parts of a job's screen share: what the server said, what is asked, and how to send. */
export type Bench = Selection &
  Pick<Sending, 'send' | 'sendLine' | 'sendGauge'> & {
    job: Job;
    joined: boolean;
    mayWrite: boolean;
    /** Whether it is a lesson: nothing of the shop speaks into it. */
    isLesson: boolean;
    /** Key of the line begun here; the line itself is the pad's, so that a key press draws the pad and nothing else. */
    lineKey: string;
    field: React.RefObject<HTMLInputElement | null>;
  };

/** What comes and goes with every entry on its way. Apart from the bench, so that it draws little again. */
export type OutboxStatus = Pick<Sending, 'refusal' | 'forgive'> & {
  /** Entries of this job that the server has not acknowledged, oldest first. */
  kept: readonly KeptEntry[];
  connection: Connection;
};

export const BenchContext = createContext<Bench | null>(null);
export const OutboxStatusContext = createContext<OutboxStatus | null>(null);

export function useOutboxStatus(): OutboxStatus {
  const post = useContext(OutboxStatusContext);
  if (post === null) throw new Error('useOutboxStatus needs an open job: render it inside <OutboxStatusContext>.');
  return post;
}

export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (bench === null) throw new Error('useBench needs an open job: render it inside <BenchContext>.');
  return bench;
}

/** @param elsewhere where what is written goes: its own job, unless it is a lesson */
export function useMakeBench(job: Job, elsewhere?: string): { bench: Bench; post: OutboxStatus } {
  const place = elsewhere ?? job.id;
  const person = useSignedIn();
  const { keysAnywhere } = useKept(preferencesOf(person.id));
  const key = lineKey(person.id, job.id);
  const field = useRef<HTMLInputElement>(null);
  const all = useKept(outbox.entries);
  const kept = useMemo(
    () => all.filter((entry) => entry.job === place && entry.by === person.id),
    [all, place, person.id],
  );
  const connection = useSyncExternalStore(outbox.subscribe, outbox.status);
  const { selection, sent } = useSelection(job, kept, person.id);
  const { send, sendLine, sendGauge, refusal, forgive } = useSending(place, kept, key, selection, sent);
  useKeysAnywhere(keysAnywhere, field, (text) => {
    forgive();
    keepLine(key, text);
  });

  const joined = job.state.people.some((one) => one.id === person.id);
  const mayWrite = person.may_log && joined && job.state.closed === null;
  const bench = useMemo<Bench>(
    () => ({
      ...selection,
      job,
      joined,
      mayWrite,
      isLesson: place !== job.id,
      lineKey: key,
      send,
      sendLine,
      sendGauge,
      field,
    }),
    [selection, job, joined, mayWrite, place, key, send, sendLine, sendGauge],
  );
  const post = useMemo<OutboxStatus>(
    () => ({ kept, connection, refusal, forgive }),
    [kept, connection, refusal, forgive],
  );
  return { bench, post };
}
