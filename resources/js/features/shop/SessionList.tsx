import { Box, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { endSession, sessionsQuery } from '../../api/people';
import { Button, Chip, Sheet } from '../../components/Buttons';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { moment } from '../../lib/time';

/** Where one is signed in; a lead sees everybody. */
export const SessionList = () => {
  const { data, error, refetch } = useQuery(sessionsQuery);
  const client = useQueryClient();
  const end = useMutation({
    mutationFn: endSession,
    onSuccess: (after) => client.setQueryData(sessionsQuery.queryKey, after),
  });
  if (data === undefined) {
    return error === null ? <Loading what="the sessions" /> : <Failure error={error} retry={() => refetch()} />;
  }
  return (
    <Sheet overflow="hidden" aria-label="Signed in">
      {data.sessions.map((one) => (
        <Grid
          key={one.key}
          templateColumns="1fr 1fr auto"
          columnGap="4"
          alignItems="center"
          paddingInline="4"
          paddingBlock="2.5"
          minHeight="14"
          borderTopWidth="thin"
          borderColor="line"
          _first={{ borderTopWidth: '0' }}
        >
          <Box>
            <b>{one.name}</b>
            <Box textStyle="small">{one.device}</Box>
          </Box>
          <Box textStyle="small">
            {one.address}, last {moment(one.last_seen)}
          </Box>
          {one.this_one ? (
            <Chip tone="inside">here</Chip>
          ) : (
            <Button look="quiet" size="small" onClick={() => end.mutate(one.key)}>
              Sign out
            </Button>
          )}
        </Grid>
      ))}
      {end.isError && <Refusal error={end.error} />}
    </Sheet>
  );
};
