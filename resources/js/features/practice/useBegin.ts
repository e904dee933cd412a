import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { say } from '../../api/client';
import { keys } from '../../api/keys';
import { beginLesson } from '../../api/practice';
import { uuid } from '../../lib/uuid';

/** Begins a lesson, or goes back to one that is open. */
export const useBegin = () => {
  const go = useNavigate();
  const client = useQueryClient();
  const beginning = useMutation({
    mutationFn: ({ lesson, task }: { lesson: string; task?: string }) => beginLesson(uuid(), lesson, task),
    onSuccess: (made) => {
      client.setQueryData(keys.attempt(made.id), made);
      go(`/practice/${made.id}`);
    },
  });
  return {
    /** @param task what it is done for, where a teacher set it */
    start: (lesson: string, open: string | null = null, task?: string) =>
      open === null ? beginning.mutate({ lesson, ...(task !== undefined && { task }) }) : go(`/practice/${open}`),
    busy: beginning.isPending,
    refusal: beginning.error === null ? null : say(beginning.error),
  };
};
export type Begin = ReturnType<typeof useBegin>;

/** What the button of a lesson says, by what one did in it. */
export const beginSays = (one: { open: string | null; best: number | null }): string =>
  one.open !== null ? 'Go on' : one.best === null ? 'Begin' : 'Again';
