import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { openJob } from '../../api/jobs';
import { keys } from '../../api/keys';
import { uuid } from '../../lib/uuid';

/** Starts a job, or a check; a second tap, or a try after a lost answer, is the same job and not another. */
export function useStartJob(machine: string, control: string, check = false) {
  const id = useRef(uuid());
  const client = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: () => openJob(machine, id.current, control, check),
    onSuccess: (job) => {
      client.setQueryData(keys.job(job.id), job);
      void client.invalidateQueries({ queryKey: keys.bench });
      void client.invalidateQueries({ queryKey: keys.machine(machine) });
      void client.invalidateQueries({ queryKey: keys.service(machine) });
      void navigate(`/jobs/${job.id}`);
    },
  });
}
