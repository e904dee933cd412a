import { Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { lessonsQuery, type PracticeGroups, type PracticeHelp, setTask } from '../../api/practice';
import { Button, Field, FieldLabel } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { PickOne } from '../../components/PickOne';
import { Refusal } from '../../components/Refusal';
import { Select } from '../../components/Select';
import { uuid } from '../../lib/uuid';
import { familiesOf } from './families';
import { randomKey } from './randomKey';
import { useGroupChange } from './useGroupChange';

type TaskDialogProps = {
  group: PracticeGroups['groups'][number];
  helps: PracticeGroups['helps'];
  onClose: () => void;
};

/** Which lesson, with how much help, until when: the same machine for everybody in the group. */
export const TaskDialog = ({ group, helps, onClose }: TaskDialogProps) => {
  const { data: list } = useQuery(lessonsQuery);
  const [id] = useState(uuid);
  const [lesson, setLesson] = useState('');
  const [help, setHelp] = useState<PracticeHelp>('asked');
  const [dueOn, setDueOn] = useState('');
  const setting = useGroupChange(
    () => setTask(group.id, { id, lesson, help, due_on: dueOn === '' ? null : dueOn }),
    onClose,
  );
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
          disabled={lesson === '' || setting.isPending}
          onClick={() => setting.mutate()}
          data-primary
          data-set-it
        >
          Set it
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <FieldLabel htmlFor="task-lesson">Lesson</FieldLabel>
        <Select id="task-lesson" value={lesson} onPick={setLesson} none="Choose one">
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
        <FieldLabel as="div">How much help there is</FieldLabel>
        <PickOne
          says="How much help there is"
          mark="help"
          column
          options={helps.map((one) => ({ key: one.help, label: one.label }))}
          value={help}
          onPick={(key) => setHelp(helps.find((one) => one.help === key)?.help ?? help)}
        />
        <FieldLabel htmlFor="task-due">Until (if there is a day)</FieldLabel>
        <Field id="task-due" type="date" value={dueOn} onChange={(event) => setDueOn(event.target.value)} />
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
