import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { BenchRow } from '../../api/bench';
import { MachineTag } from '../../components/MachineTag';
import { placeOf } from './place';

const Row = chakra(Link);

/** A machine in one of the Bench's short lists, and the way to it. */
export const BenchLink = ({ row, stop = false, children }: { row: BenchRow; stop?: boolean; children: ReactNode }) => (
  <Row
    to={placeOf(row)}
    display="grid"
    gridTemplateColumns="5.25rem 1fr"
    gap="3"
    alignItems="center"
    minHeight="3.25rem"
    paddingBlock="1.5"
    borderTopWidth="thin"
    borderColor="line"
    textDecoration="none"
    color="ink"
    _hover={{ bg: 'well' }}
  >
    <Box>
      <MachineTag tag={row.tag} stop={stop} size="sm" />
    </Box>
    <Box lineHeight="snug">{children}</Box>
  </Row>
);
