import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useController, useForm } from 'react-hook-form';
import { zPracticeGroupBody } from '../../api/contract/zod.gen';
import { changeGroup, makeGroup, type PracticeGroups } from '../../api/practice';
import { Button, FieldLabel } from '../../components/Buttons';
import { FormEntry } from '../../components/FormEntry';
import { Modal } from '../../components/Modal';
import { PickSome } from '../../components/PickSome';
import { Refusal } from '../../components/Refusal';
import { checkedBy } from '../../lib/checkedBy';
import { uuid } from '../../lib/uuid';
import { useGroupChange } from './useGroupChange';

type GroupDialogProps = {
  /** Null for a new one. */
  group: PracticeGroups['groups'][number] | null;
  people: PracticeGroups['people'];
  onClose: () => void;
};

type Draft = { name: string; people: readonly string[] };

const written = (draft: Draft) => ({ name: draft.name.trim(), people: [...draft.people] });

/** What a group is called, and who is in it. */
export const GroupDialog = ({ group, people, onClose }: GroupDialogProps) => {
  const [id] = useState(uuid);
  const { control, handleSubmit, getValues } = useForm<Draft>({
    defaultValues: { name: group?.name ?? '', people: group?.people.map((one) => one.login) ?? [] },
    resolver: checkedBy(written, zPracticeGroupBody),
  });
  const { field: chosen } = useController({ control, name: 'people' });
  const saving = useGroupChange(() => {
    const body = written(getValues());
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
          disabled={saving.isPending}
          onClick={handleSubmit(() => saving.mutate())}
          data-primary
          data-save-group
        >
          Save
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <FormEntry control={control} field="name" label="What it is called" name="group-name" />
        <FieldLabel as="div">Who is in it</FieldLabel>
        <PickSome
          says="Who is in it"
          mark="person"
          options={people.map((one) => ({ key: one.login, label: one.name }))}
          values={chosen.value}
          onPick={chosen.onChange}
        />
        {saving.error !== null && <Refusal error={saving.error} />}
      </Flex>
    </Modal>
  );
};
