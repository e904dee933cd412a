import { useMutation, useQueryClient } from '@tanstack/react-query';
import { sessionQuery, signIn } from '../../api/session';
import { tellTabs } from '../../lib/sessionNews';

type Names = { login: string; password: string };

export function useSignIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ login, password }: Names) => signIn(login, password),
    onSuccess: (session) => {
      client.setQueryData(sessionQuery.queryKey, session);
      tellTabs();
      void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
    },
  });
}
