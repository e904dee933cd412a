import { Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { keys } from '../../../api/keys';
import { makeLesson } from '../../../api/practice';
import { Area, Button, Field, FieldLabel } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { Refusal } from '../../../components/Refusal';
import { uuid } from '../../../lib/uuid';
import { useBench } from '../useBench';

/** What was found here becomes a machine to learn on, with nobody's name and no tag in it. */
export const MakeLesson = () => {
  const { job } = useBench();
  const go = useNavigate();
  const client = useQueryClient();
  const [id] = useState(uuid);
  const [open, setOpen] = useState(false);
  const [title, setTitle] = useState('');
  const [story, setStory] = useState('');
  const [teaches, setTeaches] = useState('');
  const making = useMutation({
    mutationFn: () =>
      makeLesson({ id, job: job.id, title: title.trim(), story: story.trim(), teaches: teaches.trim() }),
    onSuccess: (list) => {
      client.setQueryData(keys.practice, list);
      go('/practice');
    },
  });
  const isWhole = [title, story, teaches].every((one) => one.trim() !== '');
  return (
    <>
      <Button look="link" minHeight="7" paddingInline="0" onClick={() => setOpen(true)} data-make-lesson>
        Make a lesson of it
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="A lesson from this job"
        about="As it was found, and with what was put right as its hidden fault. No name and no tag goes with it."
        actions={
          <Button look="vivid" disabled={!isWhole || making.isPending} onClick={() => making.mutate()} data-primary>
            Make it
          </Button>
        }
      >
        <Flex direction="column" gap="3">
          <FieldLabel htmlFor="lesson-title">What it is called</FieldLabel>
          <Field id="lesson-title" maxLength={80} value={title} onChange={(event) => setTitle(event.target.value)} />
          <FieldLabel htmlFor="lesson-story">How it came in</FieldLabel>
          <Area id="lesson-story" maxLength={300} value={story} onChange={(event) => setStory(event.target.value)} />
          <FieldLabel htmlFor="lesson-teaches">What it is for</FieldLabel>
          <Field
            id="lesson-teaches"
            maxLength={200}
            value={teaches}
            onChange={(event) => setTeaches(event.target.value)}
          />
          {making.error !== null && <Refusal error={making.error} />}
        </Flex>
      </Modal>
    </>
  );
};
