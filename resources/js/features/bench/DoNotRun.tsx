import { Box, Flex, Heading } from '@chakra-ui/react';
import type { BenchRow } from '../../api/bench';
import { Sheet } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { moment } from '../../lib/time';
import { BenchLink } from './BenchLink';
import { placeOf } from './place';

/** With a tag on it, or with what an open job found, or was told, by which nobody runs it. */
export const DoNotRun = ({ rows }: { rows: readonly BenchRow[] }) => (
  <Sheet padding="4" tone={rows.length === 0 ? 'plain' : 'stop'}>
    <Flex gap="2" alignItems="center" marginBottom="2">
      <Mark kind="tag" />
      <Heading as="h2" fontSize="lg">
        Do not run
      </Heading>
    </Flex>
    {rows.length === 0 && <Box color="soft">No machine is tagged, and no open job found one unfit.</Box>}
    {rows.map((row) => (
      <BenchLink key={`${row.tag} ${row.control.key}`} to={placeOf(row)} tag={row.tag} stop>
        {row.control.tag?.reason ?? row.control.unfit.join(' ')}
        <Box textStyle="small">
          {row.control.name},{' '}
          {row.control.tag === null
            ? 'in its open job'
            : `tagged ${moment(row.control.tag.at)} by ${row.control.tag.by}`}
        </Box>
      </BenchLink>
    ))}
  </Sheet>
);
