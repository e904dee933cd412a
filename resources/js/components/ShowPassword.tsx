import { Box, Grid } from '@chakra-ui/react';
import { type FormEvent, useState } from 'react';
import { useSignIn } from '../features/signin/useSignIn';
import { useSignedIn } from '../lib/signedIn';
import { Button } from './Buttons';
import { Entry } from './Entry';
import { Refusal } from './Refusal';

/** A lead who took over by PIN shows the password, and is a lead here. */
export const ShowPassword = ({ onDone }: { onDone: () => void }) => {
  const person = useSignedIn();
  const [password, setPassword] = useState('');
  const sign = useSignIn();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    sign.mutate({ login: person.id, password }, { onSuccess: onDone });
  };
  return (
    <form onSubmit={submit}>
      <Box lineHeight="snug" marginBottom="2">
        Here by PIN. People, tags, corrections and data of the shop ask for your password first.
      </Box>
      <Grid templateColumns="1fr auto" gap="3" alignItems="end" marginBottom="4">
        <Entry
          label="Password"
          value={password}
          onChange={setPassword}
          kind="password"
          most={200}
          name="lead-password"
        />
        <Button type="submit" look="vivid" disabled={password === '' || sign.isPending}>
          Confirm
        </Button>
      </Grid>
      {sign.isError && <Refusal error={sign.error} />}
    </form>
  );
};
