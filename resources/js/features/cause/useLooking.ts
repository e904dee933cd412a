import { useIsFetching, useMutation, useQueryClient } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { type Complaint, closeComplaint, complaintQuery, type GivenAnswer } from '../../api/complaints';
import { keys } from '../../api/keys';
import { type KeptEntry, ofComplaint, outbox } from '../../lib/outbox';
import { useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';

/** What was answered and is not acknowledged: kept on this device, in the order it was given. */
export type KeptAnswer = Pick<GivenAnswer, 'kind' | 'about'> & { answer: string | null; entry: KeptEntry };

export type Looking = {
  /** Whether this person may answer, and nothing is on its way. */
  may: boolean;
  /** Whether this person may say what it was, or put right what was said. */
  mayName: boolean;
  /** Whether there is no network: what comes next is not worked out before it is back. */
  isCut: boolean;
  kept: readonly KeptAnswer[];
  error: Error | null;
  answer: (kind: GivenAnswer['kind'], about: string, answer?: string) => void;
  close: (cause: string) => void;
};

const asAnswer = (entry: KeptEntry): KeptAnswer[] => {
  if (!('body' in entry.draft)) return [];
  const { kind, about, answer } = entry.draft.body as GivenAnswer;
  return [{ kind, about, answer: answer ?? null, entry }];
};

/** Answers on the way to a cause, sent one by one and kept on the device until the server has them; each answer of the server is the whole complaint anew. */
export function useLooking(complaint: Complaint, byPhone: boolean): Looking {
  const person = useSignedIn();
  const client = useQueryClient();
  const { id, tag } = complaint;
  const place = ofComplaint(id);
  const entries = useKept(outbox.entries);
  const connection = useSyncExternalStore(outbox.subscribe, outbox.status);
  const isFull = useSyncExternalStore(outbox.entries.subscribe, outbox.isFull);
  const asking = useIsFetching({ queryKey: keys.complaint(id) });
  const mine = entries.filter((entry) => entry.job === place && entry.by === person.id);
  const isCut = connection === 'cut';
  const end = useMutation({
    mutationFn: (cause: string) => closeComplaint(id, cause),
    onSuccess: (after) => {
      client.setQueryData(complaintQuery(id, byPhone).queryKey, after);
      for (const queryKey of [keys.complaints, keys.bench, keys.machine(tag)])
        void client.invalidateQueries({ queryKey });
    },
  });
  const isOnItsWay = !isCut && (mine.some((entry) => entry.state === 'waiting') || (byPhone && asking > 0));
  const isBusy = isOnItsWay || end.isPending;
  return {
    may: person.may_log && complaint.closed_at === null && !isBusy && !isFull,
    mayName:
      !isBusy &&
      mine.length === 0 &&
      (complaint.closed_at === null ? person.may_log && complaint.unproved === null : person.may_keep_shop),
    isCut,
    kept: mine.flatMap(asAnswer),
    error: end.error,
    answer: (kind, about, answer) =>
      outbox.put(place, '', { kind: 'answer', body: { kind, about, ...(answer === undefined ? {} : { answer }) } }),
    close: (cause) => end.mutate(cause),
  };
}
