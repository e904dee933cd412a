import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { peopleQuery } from '../../api/people';
import { changePassword, changePin } from '../../api/session';
import { Button, Sheet } from '../../components/Buttons';
import { Entry } from '../../components/Entry';
import { Refusal } from '../../components/Refusal';
import { useSignedIn } from '../../lib/signedIn';

export const MySigningIn = () => (
  <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="4" alignItems="start">
    <Pin />
    <Password />
  </Grid>
);

const Pin = () => {
  const person = useSignedIn();
  const client = useQueryClient();
  const { data } = useQuery(peopleQuery);
  const [pin, setPin] = useState('');
  const has = data?.people.find((one) => one.login === person.id)?.has_pin ?? false;
  const keep = useMutation({
    mutationFn: (next: string | null) => changePin(next),
    onSuccess: () => {
      setPin('');
      void client.invalidateQueries({ queryKey: peopleQuery.queryKey });
    },
  });
  return (
    <Sheet padding="4">
      <Heading as="h2" fontSize="lg" marginBottom="1">
        My PIN
      </Heading>
      <Box color="soft" marginBottom="3">
        {has ? 'You have one. ' : ''}With it you take over a shared tablet on which somebody is signed in.
      </Box>
      <Flex direction="column" gap="3">
        <Entry label="4 to 8 digits" value={pin} onChange={setPin} kind="pin" most={8} name="new-pin" />
        <Flex gap="2" flexWrap="wrap">
          <Button look="vivid" onClick={() => keep.mutate(pin)} disabled={pin.length < 4 || keep.isPending}>
            {has ? 'Change it' : 'Set it'}
          </Button>
          {has && (
            <Button look="quiet" onClick={() => keep.mutate(null)}>
              Take it off
            </Button>
          )}
        </Flex>
      </Flex>
      {keep.isSuccess && (
        <Box role="status" marginTop="2">
          Kept.
        </Box>
      )}
      {keep.isError && <Refusal error={keep.error} />}
    </Sheet>
  );
};

const Password = () => {
  const [now, setNow] = useState('');
  const [next, setNext] = useState('');
  const keep = useMutation({
    mutationFn: () => changePassword(now, next),
    onSuccess: () => {
      setNow('');
      setNext('');
    },
  });
  return (
    <Sheet padding="4">
      <Heading as="h2" fontSize="lg" marginBottom="3">
        My password
      </Heading>
      <Flex direction="column" gap="3">
        <Entry label="The present one" value={now} onChange={setNow} kind="password" most={200} />
        <Entry label="The next one, at least 10 letters" value={next} onChange={setNext} kind="password" most={200} />
        <Button
          look="vivid"
          alignSelf="flex-start"
          onClick={() => keep.mutate()}
          disabled={now === '' || next.length < 10 || keep.isPending}
        >
          Change it
        </Button>
      </Flex>
      {keep.isSuccess && (
        <Box role="status" marginTop="2">
          Changed.
        </Box>
      )}
      {keep.isError && <Refusal error={keep.error} />}
    </Sheet>
  );
};
