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
  const [password, setPassword] = useState('');
  const has = data?.people.find((one) => one.login === person.id)?.has_pin ?? false;
  const keep = useMutation({
    mutationFn: (next: string | null) => changePin(next, password),
    onSuccess: () => {
      setPin('');
      setPassword('');
      void client.invalidateQueries({ queryKey: peopleQuery.queryKey });
    },
  });
  const ready = pin.length >= 4 && password !== '' && !keep.isPending;
  return (
    <Sheet padding="4">
      <Heading as="h2" fontSize="lg" marginBottom="1">
        My PIN
      </Heading>
      <Box color="soft" marginBottom="3" lineHeight="snug">
        {has ? 'You have one. ' : ''}With it you take over a shared tablet on which you have signed in with your
        password before. A new password takes it off.
      </Box>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (ready) keep.mutate(pin);
        }}
      >
        <Flex direction="column" gap="3">
          <Entry label="4 to 8 digits" value={pin} onChange={setPin} kind="pin" most={8} name="new-pin" />
          <Entry
            label="Your password"
            value={password}
            onChange={setPassword}
            kind="password"
            most={200}
            name="pin-password"
          />
          <Flex gap="2" flexWrap="wrap">
            <Button type="submit" look="vivid" disabled={!ready}>
              {has ? 'Change the PIN' : 'Set the PIN'}
            </Button>
            {has && (
              <Button
                look="quiet"
                onClick={() => keep.mutate(null)}
                disabled={password === '' || keep.isPending}
                title="Asks for the password too"
              >
                Take it off
              </Button>
            )}
          </Flex>
        </Flex>
      </form>
      {keep.isSuccess && (
        <Box role="status" marginTop="2">
          Saved.
        </Box>
      )}
      {keep.isError && <Refusal error={keep.error} />}
    </Sheet>
  );
};

const Password = () => {
  const client = useQueryClient();
  const [now, setNow] = useState('');
  const [next, setNext] = useState('');
  const keep = useMutation({
    mutationFn: () => changePassword(now, next),
    onSuccess: () => {
      setNow('');
      setNext('');
      void client.invalidateQueries({ queryKey: peopleQuery.queryKey });
    },
  });
  const ready = now !== '' && next.length >= 10 && !keep.isPending;
  return (
    <Sheet padding="4">
      <Heading as="h2" fontSize="lg" marginBottom="1">
        My password
      </Heading>
      <Box color="soft" marginBottom="3" lineHeight="snug">
        A few words that do not belong together do well. It signs you out on every other device, and takes your PIN off.
      </Box>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (ready) keep.mutate();
        }}
      >
        <Flex direction="column" gap="3">
          <Entry label="The present one" value={now} onChange={setNow} kind="password" most={200} />
          <Entry label="The next one, at least 10 letters" value={next} onChange={setNext} kind="password" most={200} />
          <Button type="submit" look="vivid" alignSelf="flex-start" disabled={!ready}>
            Change the password
          </Button>
        </Flex>
      </form>
      {keep.isSuccess && (
        <Box role="status" marginTop="2">
          Changed. Set a new PIN if you use one.
        </Box>
      )}
      {keep.isError && <Refusal error={keep.error} />}
    </Sheet>
  );
};
