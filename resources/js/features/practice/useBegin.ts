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
    mutationFn: (lesson: string) => beginLesson(uuid(), lesson),
    onSuccess: (made) => {
      client.setQueryData(keys.attempt(made.id), made);
      go(`/practice/${made.id}`);
    },
  });
  return {
    start: (lesson: string, open: string | null = null) =>
      open === null ? beginning.mutate(lesson) : go(`/practice/${open}`),
    busy: beginning.isPending,
    refusal: beginning.error === null ? null : say(beginning.error),
  };
};
export type Begin = ReturnType<typeof useBegin>;
