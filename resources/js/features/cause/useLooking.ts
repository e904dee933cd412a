import { useMutation, useQueryClient } from '@tanstack/react-query';
import {
  answerComplaint,
  type Complaint,
  closeComplaint,
  complaintQuery,
  type GivenAnswer,
} from '../../api/complaints';
import { keys } from '../../api/keys';
import { useSignedIn } from '../../lib/signedIn';
import { uuid } from '../../lib/uuid';

export type Looking = {
  /** Whether this person may answer, and nothing is on its way. */
  may: boolean;
  /** Whether this person may say what it was, or put right what was said. */
  mayName: boolean;
  error: Error | null;
  answer: (kind: GivenAnswer['kind'], about: string, answer?: string) => void;
  close: (cause: string) => void;
};

/** Answers on the way to a cause, sent one by one; each answer of the server is the whole complaint anew. */
export function useLooking(complaint: Complaint, byPhone: boolean): Looking {
  const person = useSignedIn();
  const client = useQueryClient();
  const { id, tag } = complaint;
  const onSuccess = (after: Complaint) => {
    client.setQueryData(complaintQuery(id, byPhone).queryKey, after);
    void client.invalidateQueries({
      queryKey: keys.complaint(id),
      predicate: (query) => query.queryKey[2] !== byPhone,
    });
    for (const queryKey of [keys.complaints, keys.bench, keys.machine(tag)])
      void client.invalidateQueries({ queryKey });
  };
  const send = useMutation({ mutationFn: (body: GivenAnswer) => answerComplaint(id, byPhone, body), onSuccess });
  const end = useMutation({ mutationFn: (cause: string) => closeComplaint(id, cause), onSuccess });
  const isBusy = send.isPending || end.isPending;
  return {
    may: person.may_log && complaint.closed_at === null && !isBusy,
    mayName: !isBusy && (complaint.closed_at === null ? person.may_log : person.may_keep_shop),
    error: send.error ?? end.error,
    answer: (kind, about, answer) =>
      send.mutate({ id: uuid(), kind, about, ...(answer === undefined ? {} : { answer }) }),
    close: (cause) => end.mutate(cause),
  };
}
