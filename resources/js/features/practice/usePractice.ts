import { useMutation, useQueryClient } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { say } from '../../api/client';
import { keys } from '../../api/keys';
import { type Act, actPractice, newer, type PracticeAttempt } from '../../api/practice';
import { nowWithOffset } from '../../lib/time';
import { uuid } from '../../lib/uuid';
import { keepAnswer } from '../../offline/register';

/** A lesson being worked: the machine as it shows itself, and what can be done to it. */
export type Practice = {
  attempt: PracticeAttempt;
  /** @param then what is done once it is done */
  act: (act: Act, then?: () => void) => void;
  busy: boolean;
  /** Why something could not be done, in a sentence; null where all is well. */
  refusal: string | null;
};

export const PracticeContext = createContext<Practice | null>(null);

export function usePractice(): Practice {
  const practice = useContext(PracticeContext);
  if (practice === null) throw new Error('usePractice needs an open lesson: render it inside <PracticeContext>.');
  return practice;
}

export function useMakePractice(attempt: PracticeAttempt): Practice {
  const client = useQueryClient();
  const doing = useMutation({
    mutationFn: (act: Act) => actPractice(attempt.id, { ...act, id: uuid(), at: nowWithOffset() }),
    onSuccess: (after) => {
      client.setQueryData<PracticeAttempt>(keys.attempt(after.id), (before) => newer(before, after));
      void keepAnswer(`/api/practice/attempts/${after.id}`, after);
      if (after.is_over) void client.invalidateQueries({ queryKey: keys.practice });
    },
  });
  return {
    attempt,
    act: (act, then) => doing.mutate(act, { onSuccess: then }),
    busy: doing.isPending,
    refusal: doing.error === null ? null : say(doing.error),
  };
}
