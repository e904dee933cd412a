import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { correctJob } from '../../../api/jobs';
import { keys } from '../../../api/keys';
import { Button } from '../../../components/Buttons';
import { Entry } from '../../../components/Entry';
import { Modal } from '../../../components/Modal';
import { Refusal } from '../../../components/Refusal';
import { useSignedIn } from '../../../lib/signedIn';
import { uuid } from '../../../lib/uuid';
import { useBench } from '../useBench';

/** A lead puts a signed job right by a new one that names it. */
export const Correct = () => {
  const person = useSignedIn();
  const { job } = useBench();
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState('');
  const [id] = useState(uuid);
  const navigate = useNavigate();
  const client = useQueryClient();
  const correct = useMutation({
    mutationFn: () => correctJob(job.id, id, why.trim()),
    onSuccess: (made) => {
      client.setQueryData(keys.job(made.id), made);
      setOpen(false);
      navigate(`/jobs/${made.id}`);
    },
  });
  if (!person.may_keep_shop) return null;
  return (
    <>
      <Button look="link" paddingInline="0" onClick={() => setOpen(true)} data-correct>
        Correct it
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="Correct a signed job"
        about="What was signed stays as it was signed. A new job begins on the same control, and both name each other."
        cancel="Cancel"
        actions={
          <Button
            look="vivid"
            onClick={() => correct.mutate()}
            disabled={why.trim() === '' || correct.isPending}
            data-primary
          >
            Begin the correction
          </Button>
        }
      >
        <Entry label="What was wrong" value={why} onChange={setWhy} most={300} name="why" />
        {correct.isError && <Refusal error={correct.error} />}
      </Modal>
    </>
  );
};
