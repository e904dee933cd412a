import { Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useController, useForm } from 'react-hook-form';
import { zPracticeTask } from '../../api/contract/zod.gen';
import { lessonsQuery, type PracticeGroups, type PracticeHelp, setTask } from '../../api/practice';
import { Button, FieldLabel } from '../../components/Buttons';
import { Wrong } from '../../components/Entry';
import { FormEntry } from '../../components/FormEntry';
import { Modal } from '../../components/Modal';
import { PickOne } from '../../components/PickOne';
import { Refusal } from '../../components/Refusal';
import { Select } from '../../components/Select';
import { checkedBy } from '../../lib/checkedBy';
import { uuid } from '../../lib/uuid';
import { familiesOf } from './families';
import { randomKey } from './randomKey';
import { useGroupChange } from './useGroupChange';

type TaskDialogProps = {
  group: PracticeGroups['groups'][number];
  helps: PracticeGroups['helps'];
  onClose: () => void;
};

type Draft = { lesson: string; help: PracticeHelp; dueOn: string };

const written = (id: string, { lesson, help, dueOn }: Draft) => ({
  id,
  lesson,
  help,
  due_on: dueOn === '' ? null : dueOn,
});

const withoutLesson = ({ lesson }: Draft) => ({ lesson: lesson === '' ? 'Choose one.' : null });

/** Which lesson, with how much help, until when: the same machine for everybody in the group. */
export const TaskDialog = ({ group, helps, onClose }: TaskDialogProps) => {
  const { data: list } = useQuery(lessonsQuery);
  const [id] = useState(uuid);
  const { control, handleSubmit, getValues } = useForm<Draft>({
    defaultValues: { lesson: '', help: 'asked', dueOn: '' },
    resolver: checkedBy((draft: Draft) => written(id, draft), zPracticeTask, {
      places: { due_on: 'dueOn' },
      first: withoutLesson,
    }),
  });
  const { field: lesson, fieldState: ofLesson } = useController({ control, name: 'lesson' });
  const { field: help } = useController({ control, name: 'help' });
  const setting = useGroupChange(() => setTask(group.id, written(id, getValues())), onClose);
  const families = familiesOf(list?.lessons ?? []);
  return (
    <Modal
      open
      onClose={onClose}
      title={`A lesson for ${group.name}`}
      about="Everybody gets the same machine."
      actions={
        <Button
          look="vivid"
          disabled={setting.isPending}
          onClick={handleSubmit(() => setting.mutate())}
          data-primary
          data-set-it
        >
          Set it
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <FieldLabel htmlFor="task-lesson">Lesson</FieldLabel>
        <Select
          id="task-lesson"
          value={lesson.value}
          onPick={lesson.onChange}
          none="Choose one"
          aria-invalid={ofLesson.invalid || undefined}
        >
          {families.map(([family, title]) => (
            <optgroup key={family} label={title}>
              {list?.lessons
                .filter((one) => one.family === family)
                .map((one) => (
                  <option key={one.key} value={one.key}>
                    {one.title}
                  </option>
                ))}
              <RandomOption family={family} />
            </optgroup>
          ))}
        </Select>
        <Wrong id="task-lesson" name="task-lesson" says={ofLesson.error?.message} />
        <FieldLabel as="div">How much help there is</FieldLabel>
        <PickOne
          says="How much help there is"
          mark="help"
          column
          options={helps.map((one) => ({ key: one.help, label: one.label }))}
          value={help.value}
          onPick={help.onChange}
        />
        <FormEntry control={control} field="dueOn" label="Until (if there is a day)" kind="date" name="task-due" />
        {setting.error !== null && <Refusal error={setting.error} />}
      </Flex>
    </Modal>
  );
};

/** Drawn once, while the dialog is open: the same for all. */
const RandomOption = ({ family }: { family: string }) => {
  const [key] = useState(() => randomKey(family));
  return <option value={key}>A machine at random</option>;
};
