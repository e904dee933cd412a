import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { type DueRow, dueQuery, planControl } from '../../api/due';
import { keys } from '../../api/keys';
import { Button } from '../../components/Buttons';
import { Counted } from '../../components/Counted';
import { Frame } from '../../components/Frame';
import { MachineTag } from '../../components/MachineTag';
import { Mark } from '../../components/Marks';
import { Refusal } from '../../components/Refusal';
import { Empty, Failure, Loading } from '../../components/States';
import { counted } from '../../lib/figures';
import { useSignedIn } from '../../lib/signedIn';
import { day, due, nowWithOffset } from '../../lib/time';
import { Calendar } from './Calendar';

const groups = [
  { title: 'Over', holds: (days: number) => days < 0 },
  { title: 'This week', holds: (days: number) => days >= 0 && days < 7 },
  { title: 'Within a month', holds: (days: number) => days >= 7 && days < 31 },
  { title: 'Later', holds: (days: number) => days >= 31 },
] as const;

/** Everything that falls due, earliest first, and the way onto the bench. */
export default function DueScreen() {
  const { data, error, refetch } = useQuery(dueQuery);
  return (
    <Frame>
      {data === undefined ? (
        error === null ? (
          <Loading what="the due list" />
        ) : (
          <Failure error={error} retry={() => refetch()} />
        )
      ) : (
        <>
          <Flex alignItems="center" gap="4" marginBottom="2" flexWrap="wrap">
            <Heading as="h1" fontSize="2xl" marginRight={{ base: 'auto', md: '0' }}>
              Due
            </Heading>
            <Box color="soft" flex={{ base: '1 0 100%', md: '1' }} order={{ base: 3, md: 0 }}>
              {data.due.length === 1 ? '1 control' : `${data.due.length} controls`}, by book, practice and each one's
              own drift
            </Box>
            <Calendar subscribed={data.calendar} />
          </Flex>
          {data.due.length === 0 ? (
            <Empty title="Nothing falls due">A control falls due once its first job is signed.</Empty>
          ) : (
            groups.map(({ title, holds }) => (
              <Group key={title} title={title} rows={data.due.filter((row) => holds(row.days ?? 9999))} />
            ))
          )}
        </>
      )}
    </Frame>
  );
}

const Group = ({ title, rows }: { title: string; rows: DueRow[] }) => (
  <Counted title={title} count={rows.length}>
    {rows.map((row) => (
      <OneDue key={`${row.tag} ${row.control}`} row={row} />
    ))}
  </Counted>
);

const useLeft = (row: DueRow) =>
  row.usage_left === null
    ? null
    : row.usage_left >= 0
      ? `${counted(row.usage_left)} ${row.usage_unit} left`
      : `${counted(-row.usage_left)} ${row.usage_unit} over`;

const OneDue = ({ row }: { row: DueRow }) => {
  const over = (row.days ?? 0) < 0;
  return (
    <Grid
      templateColumns={{ base: '1fr auto', md: '6.5rem 1.2fr 1fr 1fr 10rem' }}
      columnGap="4"
      rowGap="1"
      alignItems="center"
      paddingInline="4"
      paddingBlock="2"
      minHeight="4rem"
      borderTopWidth="thin"
      borderColor="line"
      _first={{ borderTopWidth: '0' }}
      data-due={`${row.tag} ${row.control}`}
    >
      <Link to={`/machines/${row.tag}#${row.control}`} style={{ textDecoration: 'none' }}>
        <MachineTag tag={row.tag} />
      </Link>
      <Box gridRow={{ base: '2', md: 'auto' }}>
        <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="tight">
          {row.control_name}
        </Box>
        <Box textStyle="small">
          {row.machine}, {row.place}
        </Box>
      </Box>
      <Flex gap="2" alignItems="center" gridRow={{ base: '3', md: 'auto' }}>
        <Mark kind={over ? 'found' : 'next'} size="0.9em" />
        <Box>
          <b>{row.due_on === null ? 'no day' : due(row.due_on)}</b>
          <Box textStyle="small">{useLeft(row)}</Box>
        </Box>
      </Flex>
      <Box textStyle="small" gridRow={{ base: '3', md: 'auto' }} textAlign={{ base: 'right', md: 'left' }}>
        {row.why}
        <Box>{row.minutes} min</Box>
      </Box>
      <Box
        gridRow={{ base: '1', md: 'auto' }}
        gridColumn={{ base: '2', md: 'auto' }}
        justifySelf="end"
        data-screen-only
      >
        <Plan row={row} />
      </Box>
    </Grid>
  );
};

const Plan = ({ row }: { row: DueRow }) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const plan = useMutation({
    mutationFn: (on: string | null) => planControl(row.tag, row.control, on, row.plan_etag),
    // Somebody planned it meanwhile: the list as it is now, with the sentence that says who.
    onError: () => void client.invalidateQueries({ queryKey: dueQuery.queryKey }),
    onSuccess: (after) => {
      client.setQueryData(dueQuery.queryKey, after);
      void client.invalidateQueries({ queryKey: keys.bench });
    },
  });
  if (!person.may_log) return row.planned_on === null ? null : <Box>planned {day(row.planned_on)}</Box>;
  return (
    <>
      {row.planned_on === null ? (
        <Button
          look="plain"
          size="small"
          disabled={plan.isPending}
          onClick={() => plan.mutate(nowWithOffset().slice(0, 10))}
          data-plan
        >
          To the bench
        </Button>
      ) : (
        <Button look="quiet" size="small" disabled={plan.isPending} onClick={() => plan.mutate(null)} data-unplan>
          Take off the bench
        </Button>
      )}
      {plan.isError && <Refusal error={plan.error} />}
    </>
  );
};
