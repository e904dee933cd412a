import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { type BenchDay, type BenchRow, benchQuery } from '../../api/bench';
import { Counted } from '../../components/Counted';
import { Frame } from '../../components/Frame';
import { Later, useFirstInSlices } from '../../components/Later';
import { Empty, Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { CarryOn } from './CarryOn';
import { DoNotRun } from './DoNotRun';
import { DoneSheet } from './DoneSheet';
import { DueSoon } from './DueSoon';
import { Hours } from './Hours';
import { LookedFor } from './LookedFor';
import { QueueRow } from './QueueRow';
import { Reported } from './Reported';

const groups = [
  { ready: 'cold', title: 'Ready now, cold' },
  { ready: 'any', title: 'Any time' },
  { ready: 'cooling', title: 'Cooling' },
  { ready: 'soaking', title: 'Plates soaking' },
  { ready: 'hot', title: 'After running, hot' },
] as const satisfies readonly { ready: BenchRow['ready']; title: string }[];

export default function BenchScreen() {
  const { data: known, error, refetch } = useQuery(benchQuery);
  const data = useFirstInSlices(known);
  return (
    <Frame>
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
  <Grid templateColumns={{ base: '1fr', lg: '1fr {sizes.82}' }} gap="5" alignItems="start">
    <Box minWidth="0">
      <Flex alignItems="baseline" gap="4" flexWrap="wrap" marginBottom="2">
        <Title>{day.day} on the bench</Title>
        <Hours day={day} />
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
        <Group
          key={ready}
          title={title}
          rows={day.queue.filter((row) => row.ready === ready)}
          fitted={day.present.length > 0}
        />
      ))}
    </Box>
    <Flex direction="column" gap="4">
      {day.carry_on !== null && (
        <Box display={{ base: 'none', lg: 'block' }}>
          <CarryOn row={day.carry_on} />
        </Box>
      )}
      <DoNotRun rows={day.stopped} />
      <Reported intakes={day.intakes} />
      <LookedFor title="Cause being looked for" complaints={day.complaints} />
      <Later>
        <DueSoon rows={day.due} />
        <DoneSheet done={day.done} />
      </Later>
    </Flex>
  </Grid>
);

type GroupProps = { title: string; rows: readonly BenchRow[]; fitted: boolean };

const Group = ({ title, rows, fitted }: GroupProps) => (
  <Counted title={title} count={rows.length}>
    {rows.map((row) => (
      <QueueRow key={`${row.tag} ${row.control.key}`} row={row} fitted={fitted} />
    ))}
  </Counted>
);
