import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Role } from '../../api/contract';
import { addPerson, changePerson, newPassword, type Person, peopleQuery } from '../../api/people';
import { roles } from '../../api/session';
import { Button, Chip, Sheet } from '../../components/Buttons';
import { NotSaved, useSeen } from '../../components/ChangedSince';
import { Entry, Pick } from '../../components/Entry';
import { Modal } from '../../components/Modal';
import { Failure, Loading } from '../../components/States';
import { useSignedIn } from '../../lib/signedIn';
import { day } from '../../lib/time';

const may = {
  lead: 'keeps the shop, signs, lifts tags',
  technician: 'logs, signs, enters and checks specs',
  apprentice: 'logs; somebody else signs',
  viewer: 'looks',
} as const;
const roleOptions = roles.map((key) => ({ key, label: `${key}: ${may[key]}` }));

export const PeopleList = () => {
  const person = useSignedIn();
  const { data, error, refetch } = useQuery(peopleQuery);
  const [edited, setEdited] = useState<Person | 'new' | null>(null);
  if (data === undefined) {
    return error === null ? <Loading what="the people" /> : <Failure error={error} retry={() => refetch()} />;
  }
  return (
    <>
      <Sheet overflow="hidden" aria-label="People">
        {data.people.map((one) => (
          <Grid
            key={one.login}
            templateColumns={{ base: '1fr auto', md: '1fr 1.4fr {sizes.32} {sizes.24}' }}
            columnGap="4"
            alignItems="center"
            paddingInline="4"
            paddingBlock="2.5"
            minHeight="16"
            borderTopWidth="thin"
            borderColor="line"
            _first={{ borderTopWidth: '0' }}
            data-person={one.login}
          >
            <Box>
              <Box fontFamily="heading" fontWeight="bold" fontSize="lg">
                {one.name}
              </Box>
              <Box textStyle="small">signs in as {one.login}</Box>
            </Box>
            <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
              <b>{one.role}</b>
              <Box textStyle="small">{may[one.role]}</Box>
            </Box>
            <Box>
              {one.left_at !== null ? (
                <Chip tone="quiet">left {day(one.left_at)}</Chip>
              ) : (
                <Box textStyle="small">{one.has_pin ? 'has a PIN' : 'no PIN'}</Box>
              )}
            </Box>
            <Box justifySelf="end" gridRow={{ base: '1', md: 'auto' }} gridColumn={{ base: '2', md: 'auto' }}>
              {person.may_keep_shop && (
                <Button look="quiet" size="small" onClick={() => setEdited(one)}>
                  Change
                </Button>
              )}
            </Box>
          </Grid>
        ))}
      </Sheet>
      {person.may_keep_shop && (
        <Button look="vivid" marginTop="4" onClick={() => setEdited('new')} data-primary>
          Add somebody
        </Button>
      )}
      {edited !== null && <PersonDialog person={edited === 'new' ? null : edited} onClose={() => setEdited(null)} />}
    </>
  );
};

const PersonDialog = ({ person, onClose }: { person: Person | null; onClose: () => void }) => {
  const [name, setName] = useState(person?.name ?? '');
  const [login, setLogin] = useState('');
  const [role, setRole] = useState<Role>(person?.role ?? 'technician');
  const [password, setPassword] = useState<string | null>(null);
  const client = useQueryClient();
  const known = (people: { people: Person[] }) => client.setQueryData(peopleQuery.queryKey, { people: people.people });
  const add = useMutation({
    mutationFn: () => addPerson({ login, name, role }),
    onSuccess: (after) => {
      known(after);
      setPassword(after.password);
    },
  });
  const { seen, onError } = useSeen(person?.etag);
  const change = useMutation({
    mutationFn: (here: boolean) => changePerson(person?.login ?? '', { name, role, here }, seen),
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
    { name: 'name', label: 'Name', mine: name },
    { name: 'role', label: 'Role', mine: role },
    { name: 'here', label: 'Works here', mine: person?.left_at === null ? 'yes' : 'no' },
  ];
  return (
    <Modal
      open
      onClose={onClose}
      title={person === null ? 'Somebody new' : person.name}
      cancel={password === null ? 'Cancel' : 'Done'}
      actions={
        password === null && (
          <Button
            look="vivid"
            onClick={() => (person === null ? add.mutate() : change.mutate(person.left_at === null))}
            disabled={name.trim() === '' || add.isPending || change.isPending}
            data-primary
          >
            {person === null ? 'Add them' : 'Save'}
          </Button>
        )
      }
    >
      {password !== null ? (
        <ShownOnce password={password} />
      ) : (
        <Flex direction="column" gap="3">
          <Entry label="Name" value={name} onChange={setName} name="person-name" />
          {person === null && (
            <Entry label="Signs in as" value={login} onChange={setLogin} most={40} name="person-login" />
          )}
          <Pick label="Role" value={role} onChange={setRole} options={roleOptions} name="person-role" />
          {person !== null && (
            <Kept
              left={person.left_at !== null}
              onRenew={() => renew.mutate()}
              onLeave={() => change.mutate(person.left_at !== null)}
            />
          )}
        </Flex>
      )}
      {error !== null && <NotSaved error={error} fields={typed} />}
    </Modal>
  );
};

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
