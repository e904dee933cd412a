import { Box, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { lazy, useState } from 'react';
import { type Person, peopleQuery } from '../../api/people';
import { Button, Chip, Sheet } from '../../components/Buttons';
import { Fetched } from '../../components/Fetched';
import { Failure, Loading } from '../../components/States';
import { useSignedIn } from '../../lib/signedIn';
import { day } from '../../lib/time';
import { may } from './may';

const PersonDialog = lazy(() => import('./PersonDialog'));

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
          Add a person
        </Button>
      )}
      {edited !== null && (
        <Fetched onClose={() => setEdited(null)}>
          <PersonDialog person={edited === 'new' ? null : edited} onClose={() => setEdited(null)} />
        </Fetched>
      )}
    </>
  );
};
