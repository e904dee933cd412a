import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { type BenchDay, type BenchRow, benchQuery } from '../../api/bench';
import { Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Empty, Failure, Loading } from '../../components/States';
import { duration } from '../../lib/time';
import { CarryOn } from './CarryOn';
import { DoNotRun } from './DoNotRun';
import { DueSoon } from './DueSoon';
import { QueueRow } from './QueueRow';

const groups = [
  { ready: 'ready', title: 'Ready now' },
  { ready: 'cooling', title: 'Cooling' },
  { ready: 'soaking', title: 'Plates soaking' },
  { ready: 'after_running', title: 'After running, hot' },
] as const satisfies readonly { ready: BenchRow['ready']; title: string }[];

export default function BenchScreen({ onLeave }: { onLeave: () => void }) {
  const { data, error, refetch } = useQuery(benchQuery);
  return (
    <Frame onLeave={onLeave}>
      {data !== undefined ? (
        <Day day={data} />
      ) : error !== null ? (
        <Failure error={error} retry={() => refetch()} />
      ) : (
        <Loading what="the day" />
      )}
    </Frame>
  );
}

const Day = ({ day }: { day: BenchDay }) => (
  <Grid templateColumns={{ base: '1fr', lg: '1fr 20.5rem' }} gap="5" alignItems="start">
    <Box minWidth="0">
      <Flex alignItems="baseline" gap="4" flexWrap="wrap" marginBottom="2">
        <Heading as="h1" fontSize="2xl">
          {day.day} on the bench
        </Heading>
        <Box color="soft">
          {day.queue.length === 1 ? '1 control' : `${day.queue.length} controls`} · {duration(day.minutes)} of work
        </Box>
      </Flex>
      {day.carry_on !== null && (
        <Box display={{ base: 'block', lg: 'none' }} marginTop="3">
          <CarryOn row={day.carry_on} />
        </Box>
      )}
      {day.queue.length === 0 && (
        <Empty title="Nothing waits on the bench">
          Jobs planned for today and jobs left open show here. Find a machine by its tag to start one.
        </Empty>
      )}
      {groups.map(({ ready, title }) => (
        <Group key={ready} title={title} rows={day.queue.filter((row) => row.ready === ready)} />
      ))}
    </Box>
    <Flex direction="column" gap="4">
      {day.carry_on !== null && (
        <Box display={{ base: 'none', lg: 'block' }}>
          <CarryOn row={day.carry_on} />
        </Box>
      )}
      <DoNotRun rows={day.tagged} />
      <DueSoon rows={day.due} />
    </Flex>
  </Grid>
);

const Group = ({ title, rows }: { title: string; rows: readonly BenchRow[] }) =>
  rows.length === 0 ? null : (
    <Box as="section" marginTop="4" aria-label={title}>
      <Flex alignItems="baseline" gap="2" marginBottom="2">
        <Heading as="h2" fontSize="lg">
          {title}
        </Heading>
        <Box color="soft">{rows.length}</Box>
      </Flex>
      <Sheet overflow="hidden">
        {rows.map((row) => (
          <QueueRow key={`${row.tag} ${row.control.key}`} row={row} />
        ))}
      </Sheet>
    </Box>
  );
