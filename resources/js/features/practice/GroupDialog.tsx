import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { changeGroup, makeGroup, type PracticeGroups } from '../../api/practice';
import { Button, Field, FieldLabel } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { PickSome } from '../../components/PickSome';
import { Refusal } from '../../components/Refusal';
import { uuid } from '../../lib/uuid';
import { useGroupChange } from './useGroupChange';

type GroupDialogProps = {
  /** Null for a new one. */
  group: PracticeGroups['groups'][number] | null;
  people: PracticeGroups['people'];
  onClose: () => void;
};

/** What a group is called, and who is in it. */
export const GroupDialog = ({ group, people, onClose }: GroupDialogProps) => {
  const [id] = useState(uuid);
  const [name, setName] = useState(group?.name ?? '');
  const [chosen, setChosen] = useState<readonly string[]>(group?.people.map((one) => one.login) ?? []);
  const saving = useGroupChange(() => {
    const body = { name: name.trim(), people: chosen };
    return group === null ? makeGroup(id, body) : changeGroup(group.id, body);
  }, onClose);
  return (
    <Modal
      open
      onClose={onClose}
      title={group === null ? 'A new group' : `Change ${group.name}`}
      actions={
        <Button
          look="vivid"
          disabled={name.trim() === '' || saving.isPending}
          onClick={() => saving.mutate()}
          data-primary
          data-save-group
        >
          Save
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <FieldLabel htmlFor="group-name">What it is called</FieldLabel>
        <Field id="group-name" maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
        <FieldLabel as="div">Who is in it</FieldLabel>
        <PickSome
          says="Who is in it"
          mark="person"
          options={people.map((one) => ({ key: one.login, label: one.name }))}
          values={chosen}
          onPick={setChosen}
        />
        {saving.error !== null && <Refusal error={saving.error} />}
      </Flex>
    </Modal>
  );
};
