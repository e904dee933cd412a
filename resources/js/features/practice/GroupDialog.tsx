import { Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys } from '../../api/keys';
import { changeGroup, makeGroup, type PracticeGroups } from '../../api/practice';
import { Button, Field, FieldLabel } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { uuid } from '../../lib/uuid';

type GroupDialogProps = {
  /** Null for a new one. */
  group: PracticeGroups['groups'][number] | null;
  people: PracticeGroups['people'];
  onClose: () => void;
};

/** What a group is called, and who is in it. */
export const GroupDialog = ({ group, people, onClose }: GroupDialogProps) => {
  const client = useQueryClient();
  const [id] = useState(uuid);
  const [name, setName] = useState(group?.name ?? '');
  const [chosen, setChosen] = useState<readonly string[]>(group?.people.map((one) => one.login) ?? []);
  const saving = useMutation({
    mutationFn: () => {
      const body = { name: name.trim(), people: chosen };
      return group === null ? makeGroup(id, body) : changeGroup(group.id, body);
    },
    onSuccess: (list) => {
      client.setQueryData(keys.groups, list);
      onClose();
    },
  });
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
        <Flex gap="2" flexWrap="wrap" role="group" aria-label="Who is in it">
          {people.map(({ login, name: called }) => {
            const isIn = chosen.includes(login);
            return (
              <Button
                key={login}
                look={isIn ? 'dark' : 'plain'}
                aria-pressed={isIn}
                onClick={() => setChosen(isIn ? chosen.filter((one) => one !== login) : [...chosen, login])}
                data-person={login}
              >
                {called}
              </Button>
            );
          })}
        </Flex>
        {saving.error !== null && <Refusal error={saving.error} />}
      </Flex>
    </Modal>
  );
};
