import { useMutation, useQueryClient } from '@tanstack/react-query';
import { keys } from '../../api/keys';
import type { PracticeGroups } from '../../api/practice';

/** A change to the groups: each is answered with all of them, which every screen then shows. */
export const useGroupChange = (change: () => Promise<PracticeGroups>, then?: () => void) => {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: (groups) => {
      client.setQueryData(keys.groups, groups);
      then?.();
    },
  });
};
