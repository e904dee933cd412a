import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { MachineControl, PastJob } from '../../api/machines';
import { Sheet } from '../../components/Buttons';
import { Mark, type MarkKind } from '../../components/Marks';
import { Empty } from '../../components/States';
import { counted, lengthText, lengthUnit, withUncertainty } from '../../lib/figures';
import { day } from '../../lib/time';
import { Story } from './Story';
import { WearChart } from './WearChart';

const outcomes = {
  fit: { mark: 'inside', word: 'fit for use' },
  by_choice: { mark: 'found', word: 'outside by choice' },
  tagged: { mark: 'tag', word: 'do not run' },
  checked: { mark: 'left', word: 'checked, play inside' },
} as const satisfies Record<NonNullable<PastJob['outcome']>, { mark: MarkKind; word: string }>;

const Cell = chakra('td', {
  base: {
    padding: { base: '0', md: '2' },
    borderTopWidth: { base: '0', md: 'thin' },
    borderColor: 'line',
    verticalAlign: 'top',
  },
});
const Head = chakra('th', {
  base: { padding: '2', textAlign: 'left', fontFamily: 'heading', fontSize: 'md', color: 'soft' },
});

/** Every job on a control: found, left, and by whom. */
export const ControlHistory = ({ control, usageUnit }: { control: MachineControl; usageUnit: string }) => {
  const hasPulls = control.history.some((job) => job.pull !== null);
  return (
    <Sheet padding="4" aria-label={`Story of the ${control.name}`}>
      <Flex alignItems="baseline" gap="3" flexWrap="wrap" marginBottom="2">
        <Heading as="h2" fontSize="xl">
          {control.name}
        </Heading>
        <Box color="soft">
          {control.point_label === null
            ? 'proved by what it does'
            : `play at the ${control.point_label}, ${lengthUnit()}, against ${usageUnit}`}
        </Box>
      </Flex>
      {control.history.length === 0 ? (
        <Empty title="No job yet">The first job writes the first line of this control's story.</Empty>
      ) : (
        <>
          <WearChart control={control} usageUnit={usageUnit} />
          {control.story !== null && <Story story={control.story} usageUnit={usageUnit} />}
          {control.pulls !== null && (
            <Box marginTop="2" lineHeight="snug" data-pulls>
              <b>Pulled as a curve:</b> {control.pulls}
            </Box>
          )}
          <Box overflowX="auto" marginTop="3" tabIndex={0} role="region" aria-label="Jobs">
            <chakra.table display={{ base: 'block', md: 'table' }}>
              <chakra.thead display={{ base: 'none', md: 'table-header-group' }}>
                <tr>
                  <Head scope="col">Day</Head>
                  <Head scope="col">{usageUnit}</Head>
                  <Head scope="col">Found</Head>
                  <Head scope="col">Left</Head>
                  {hasPulls && <Head scope="col">Pull</Head>}
                  <Head scope="col">Outcome</Head>
                  <Head scope="col">Signed</Head>
                </tr>
              </chakra.thead>
              <chakra.tbody display={{ base: 'block', md: 'table-row-group' }}>
                {control.history.map((job) => (
                  <JobRow key={job.job} job={job} hasPulls={hasPulls} />
                ))}
              </chakra.tbody>
            </chakra.table>
          </Box>
        </>
      )}
    </Sheet>
  );
};

const JobRow = ({ job, hasPulls }: { job: PastJob; hasPulls: boolean }) => {
  const outcome = job.outcome === null ? null : outcomes[job.outcome];
  return (
    <chakra.tr
      fontVariantNumeric="tabular-nums"
      display={{ base: 'grid', md: 'table-row' }}
      gridTemplateColumns="1fr 1fr"
      columnGap="3"
      rowGap="1"
      paddingBlock={{ base: '2', md: '0' }}
      borderTopWidth={{ base: 'thin', md: '0' }}
      borderColor="line"
      data-job={job.job}
    >
      <Cell whiteSpace="nowrap">
        <Link to={`/jobs/${job.job}`}>{day(job.opened_at)}</Link>
      </Cell>
      <Cell>{counted(job.usage)}</Cell>
      <Cell whiteSpace="nowrap">
        {job.found_mm === null ? (
          <Stood job={job} at="found" />
        ) : (
          <Figure mark="found" text={lengthText(job.found_mm)} />
        )}
      </Cell>
      <Cell whiteSpace="nowrap">
        {job.left_mm === null ? (
          <Stood job={job} at="left" />
        ) : (
          <Figure mark="left" text={withUncertainty(job.left_mm, job.left_expanded_mm)} />
        )}
      </Cell>
      {hasPulls && (
        <Cell whiteSpace="nowrap">
          {job.pull !== null && (
            <Link to={`/jobs/${job.job}/pull/${job.pull.trace}`}>
              {job.pull.efficiency === null ? 'curve' : `${Math.round(100 * (1 - job.pull.efficiency))} % lost`}
            </Link>
          )}
        </Cell>
      )}
      <Cell>
        {outcome === null ? (
          'in work'
        ) : (
          <Flex gap="2" alignItems="center">
            <Mark kind={outcome.mark} size="small" />
            {outcome.word}
          </Flex>
        )}
        {job.reason !== null && <Box textStyle="small">{job.reason}</Box>}
      </Cell>
      <Cell>{job.by ?? ''}</Cell>
    </chakra.tr>
  );
};

/** A control without a figure is remembered by where its adjusters stood. */
const Stood = ({ job, at }: { job: PastJob; at: 'found' | 'left' }) =>
  job.stands.map((one) =>
    one[at] === null ? null : (
      <Box key={one.name}>
        <Figure mark={at} text={job.stands.length > 1 ? `${one.name}: ${one[at]}` : (one[at] ?? '')} />
      </Box>
    ),
  );

const Figure = ({ mark, text }: { mark: MarkKind; text: string }) => (
  <Flex gap="2" alignItems="center">
    <Mark kind={mark} size="small" />
    {text}
  </Flex>
);
