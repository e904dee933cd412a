import { Box, Flex } from '@chakra-ui/react';
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

/** In one column: what there is to carry on, what must not run, the queue, and then the rest. */
const FIRST = 1;
const QUEUE = 2;
const REST = 3;

const Day = ({ day }: { day: BenchDay }) => (
  <Box
    display={{ base: 'flex', lg: 'grid' }}
    flexDirection="column"
    gridTemplateColumns={{ lg: '1fr {sizes.82}' }}
    gap={{ base: '4', lg: '5' }}
    alignItems={{ lg: 'start' }}
  >
    <Box minWidth="0" display={{ base: 'contents', lg: 'block' }}>
      <Flex alignItems="baseline" columnGap="4" rowGap="1" flexWrap="wrap" marginBottom={{ lg: '2' }}>
        <Title flex={{ base: '1', md: '0 1 auto' }}>{day.day} on the bench</Title>
        <Hours day={day} />
      </Flex>
      <Box order={QUEUE}>
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
    </Box>
    <Flex direction="column" gap="4" minWidth="0" display={{ base: 'contents', lg: 'flex' }}>
      {day.carry_on !== null && (
        <Box order={FIRST}>
          <CarryOn row={day.carry_on} />
        </Box>
      )}
      <Box order={{ base: day.stopped.length > 0 ? FIRST : REST, lg: FIRST }}>
        <DoNotRun rows={day.stopped} />
      </Box>
      {day.intakes.length > 0 && (
        <Box order={FIRST}>
          <Reported intakes={day.intakes} />
        </Box>
      )}
      <Flex direction="column" gap="4" order={REST}>
        <LookedFor title="Cause being looked for" complaints={day.complaints} />
        <Later>
          <DueSoon rows={day.due} />
          <DoneSheet done={day.done} />
        </Later>
      </Flex>
    </Flex>
  </Box>
);

type GroupProps = { title: string; rows: readonly BenchRow[]; fitted: boolean };

const Group = ({ title, rows, fitted }: GroupProps) => (
  <Counted title={title} count={rows.length}>
    {rows.map((row) => (
      <QueueRow key={`${row.tag} ${row.control.key}`} row={row} fitted={fitted} />
    ))}
  </Counted>
);
