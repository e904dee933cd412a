import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { peopleQuery } from '../api/people';
import { sessionQuery, takeOver } from '../api/session';
import { tellTabs } from '../lib/sessionNews';
import { useSignedIn } from '../lib/signedIn';
import { forgetAnswers } from '../offline/register';
import { Button } from './Buttons';
import { Entry } from './Entry';
import { Refusal } from './Refusal';

/** Another person takes the tablet over: one tap on the name, and the PIN. */
export const TakeOver = ({ onDone }: { onDone: () => void }) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const [login, setLogin] = useState<string | null>(null);
  const [pin, setPin] = useState('');
  const { data } = useQuery(peopleQuery);
  const others = (data?.people ?? []).filter((one) => one.has_pin && one.left_at === null && one.login !== person.id);
  const take = useMutation({
    mutationFn: () => takeOver(login ?? '', pin),
    onSuccess: (session) => {
      // What was kept for the other person's screens stays theirs.
      forgetAnswers();
      client.setQueryData(sessionQuery.queryKey, session);
      tellTabs();
      void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
      onDone();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    take.mutate();
  };
  return (
    <Box marginBottom="3">
      <Box textStyle="eyebrow" marginBottom="1">
        Somebody else at this bench
      </Box>
      {others.length === 0 && (
        <Box textStyle="small">Whoever sets a PIN under People can take over here without signing out.</Box>
      )}
      <Flex gap="2" flexWrap="wrap">
        {others.map((one) => (
          <Button
            key={one.login}
            look={one.login === login ? 'dark' : 'plain'}
            aria-pressed={one.login === login}
            onClick={() => {
              setLogin(one.login);
              setPin('');
              take.reset();
            }}
            data-take-over={one.login}
          >
            {one.name}
          </Button>
        ))}
      </Flex>
      {login !== null && (
        <form onSubmit={submit}>
          <Grid templateColumns="{sizes.36} auto" gap="3" alignItems="end" marginTop="3">
            <Entry key={login} label="PIN" value={pin} onChange={setPin} kind="pin" most={8} name="pin" autoFocus />
            <Button type="submit" look="vivid" disabled={pin.length < 4 || take.isPending} justifySelf="start">
              Take over
            </Button>
          </Grid>
        </form>
      )}
      {take.isError && <Refusal error={take.error} />}
    </Box>
  );
};
