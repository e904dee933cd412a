import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { BenchRow } from '../../api/bench';
import { Sheet } from '../../components/Buttons';
import { MachineTag } from '../../components/MachineTag';
import { Mark } from '../../components/Marks';
import { moment } from '../../lib/time';
import { placeOf } from './place';

const Row = chakra(Link);

export const DoNotRun = ({ rows }: { rows: readonly BenchRow[] }) => (
  <Sheet padding="4" tone={rows.length === 0 ? 'plain' : 'stop'}>
    <Flex gap="2" alignItems="center" marginBottom="2">
      <Mark kind="tag" />
      <Heading as="h2" fontSize="lg">
        Do not run
      </Heading>
    </Flex>
    {rows.length === 0 && <Box color="soft">No machine is tagged.</Box>}
    {rows.map((row) => (
      <Row
        key={`${row.tag} ${row.control.key}`}
        to={placeOf(row)}
        display="flex"
        gap="3"
        paddingBlock="2"
        textDecoration="none"
        color="ink"
        _hover={{ bg: 'well' }}
      >
        <Box flexShrink="0">
          <MachineTag tag={row.tag} stop size="sm" />
        </Box>
        <Box lineHeight="snug">
          {row.control.tag?.reason}
          <Box textStyle="small">
            {row.control.name}, tagged {moment(row.control.tag?.at ?? '')} by {row.control.tag?.by}
          </Box>
        </Box>
      </Row>
    ))}
  </Sheet>
);
