import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Control, useController, useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { zMakeLesson } from '../../../api/contract/zod.gen';
import { keys } from '../../../api/keys';
import { makeLesson } from '../../../api/practice';
import { Area, Button, FieldLabel } from '../../../components/Buttons';
import { Wrong } from '../../../components/Entry';
import { FormEntry } from '../../../components/FormEntry';
import { Modal } from '../../../components/Modal';
import { Refusal } from '../../../components/Refusal';
import { checkedBy } from '../../../lib/checkedBy';
import { uuid } from '../../../lib/uuid';
import { useBench } from '../useBench';

type Draft = { title: string; story: string; teaches: string };

const written = (id: string, job: string, { title, story, teaches }: Draft) => ({
  id,
  job,
  title: title.trim(),
  story: story.trim(),
  teaches: teaches.trim(),
});

/** What was found here becomes a machine to learn on, with nobody's name and no tag in it. */
export default function LessonOfJob({ onClose }: { onClose: () => void }) {
  const { job } = useBench();
  const go = useNavigate();
  const client = useQueryClient();
  const [id] = useState(uuid);
  const { control, handleSubmit } = useForm<Draft>({
    defaultValues: { title: '', story: '', teaches: '' },
    resolver: checkedBy((draft: Draft) => written(id, job.id, draft), zMakeLesson),
  });
  const making = useMutation({
    mutationFn: (draft: Draft) => makeLesson(written(id, job.id, draft)),
    onSuccess: (list) => {
      client.setQueryData(keys.practice, list);
      go('/practice');
    },
  });
  return (
    <Modal
      open
      onClose={onClose}
      title="A lesson from this job"
      about="As it was found, and with what was put right as its hidden fault. No name and no tag goes with it."
      actions={
        <Button
          look="vivid"
          disabled={making.isPending}
          onClick={handleSubmit((draft) => making.mutate(draft))}
          data-primary
        >
          Make it
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <FormEntry control={control} field="title" label="What it is called" most={80} name="lesson-title" />
        <Story control={control} />
        <FormEntry control={control} field="teaches" label="What it is for" most={200} name="lesson-teaches" />
        {making.error !== null && <Refusal error={making.error} />}
      </Flex>
    </Modal>
  );
}

const Story = ({ control }: { control: Control<Draft> }) => {
  const { field, fieldState } = useController({ control, name: 'story' });
  const wrong = fieldState.error?.message;
  return (
    <Box>
      <FieldLabel htmlFor="lesson-story">How it came in</FieldLabel>
      <Area
        id="lesson-story"
        maxLength={300}
        aria-invalid={wrong !== undefined || undefined}
        {...field}
        name="lesson-story"
      />
      <Wrong id="lesson-story" name="lesson-story" says={wrong} />
    </Box>
  );
};
