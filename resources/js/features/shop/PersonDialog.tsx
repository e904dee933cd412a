import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import type { Role } from '../../api/contract';
import { zAddPerson, zChangePerson } from '../../api/contract/zod.gen';
import { addPerson, changePerson, newPassword, type Person, peopleQuery } from '../../api/people';
import { roles } from '../../api/session';
import { Button } from '../../components/Buttons';
import { NotSaved, useSeen } from '../../components/ChangedSince';
import { FormEntry, FormPick } from '../../components/FormEntry';
import { Modal } from '../../components/Modal';
import { words } from '../../components/Select';
import { capital } from '../../lib/capital';
import { checkedBy } from '../../lib/checkedBy';
import { may } from './may';

const roleOptions = words(roles);

type Draft = { login: string; name: string; role: Role };

const added = (draft: Draft) => ({ login: draft.login.trim(), name: draft.name.trim(), role: draft.role });

/** Who works here, and as what. */
export default function PersonDialog({ person, onClose }: { person: Person | null; onClose: () => void }) {
  const changed = (draft: Draft, here: boolean) => ({ name: draft.name.trim(), role: draft.role, here });
  const { control, handleSubmit } = useForm<Draft>({
    defaultValues: { login: '', name: person?.name ?? '', role: person?.role ?? 'technician' },
    resolver:
      person === null ? checkedBy(added, zAddPerson) : checkedBy((draft) => changed(draft, true), zChangePerson),
  });
  const row = useWatch({ control }) as Draft;
  const [password, setPassword] = useState<string | null>(null);
  const client = useQueryClient();
  const known = (people: { people: Person[] }) => client.setQueryData(peopleQuery.queryKey, { people: people.people });
  const add = useMutation({
    mutationFn: (draft: Draft) => addPerson(added(draft)),
    onSuccess: (after) => {
      known(after);
      setPassword(after.password);
    },
  });
  const { seen, onError } = useSeen(person?.etag);
  const change = useMutation({
    mutationFn: ({ draft, here }: { draft: Draft; here: boolean }) =>
      changePerson(person?.login ?? '', changed(draft, here), seen),
    onError,
    onSuccess: (after) => {
      known(after);
      onClose();
    },
  });
  const renew = useMutation({
    mutationFn: () => newPassword(person?.login ?? ''),
    onSuccess: (after) => {
      known(after);
      setPassword(after.password);
    },
  });
  const error = add.error ?? change.error ?? renew.error;
  const typed = [
    { name: 'name', label: 'Name', mine: row.name },
    { name: 'role', label: 'Role', mine: row.role },
    { name: 'here', label: 'Works here', mine: person?.left_at === null ? 'yes' : 'no' },
  ];
  const save = (here: boolean) =>
    handleSubmit((draft) => (person === null ? add.mutate(draft) : change.mutate({ draft, here })));
  return (
    <Modal
      open
      onClose={onClose}
      title={person === null ? 'Add a person' : person.name}
      cancel={password === null ? 'Cancel' : 'Done'}
      actions={
        password === null && (
          <Button
            look="vivid"
            onClick={save(person?.left_at === null)}
            disabled={add.isPending || change.isPending}
            data-primary
          >
            {person === null ? 'Add' : 'Save'}
          </Button>
        )
      }
    >
      {password !== null ? (
        <ShownOnce password={password} />
      ) : (
        <Flex direction="column" gap="3">
          <FormEntry control={control} field="name" label="Name" name="person-name" />
          {person === null && (
            <FormEntry control={control} field="login" label="Signs in as" most={40} name="person-login" />
          )}
          <Box>
            <FormPick control={control} field="role" label="Role" options={roleOptions} name="person-role" />
            <Box textStyle="small" marginTop="1">
              {capital(may[row.role])}.
            </Box>
          </Box>
          {person !== null && (
            <Kept
              left={person.left_at !== null}
              onRenew={() => renew.mutate()}
              onLeave={save(person.left_at !== null)}
            />
          )}
        </Flex>
      )}
      {error !== null && <NotSaved error={error} fields={typed} />}
    </Modal>
  );
}

const ShownOnce = ({ password }: { password: string }) => (
  <Box bg="paper.tape" borderRadius="sm" padding="3" data-password>
    The password, shown only now: <b>{password}</b>
    <Box textStyle="small">They change it under My sign-in.</Box>
  </Box>
);

type KeptProps = { left: boolean; onRenew: () => void; onLeave: () => void };

const Kept = ({ left, onRenew, onLeave }: KeptProps) => (
  <Flex gap="2" flexWrap="wrap" borderTopWidth="thin" borderColor="line" paddingTop="3">
    <Button look="quiet" size="small" onClick={() => onRenew()} data-renew>
      Make a new password
    </Button>
    <Button look="quiet" size="small" onClick={() => onLeave()} data-leaves>
      {left ? 'They are back' : 'They left the shop'}
    </Button>
  </Flex>
);
