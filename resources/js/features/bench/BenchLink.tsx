import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { MachineTag } from '../../components/MachineTag';

const Row = chakra(Link);

type BenchLinkProps = { to: string; tag: string; stop?: boolean; end?: ReactNode; children: ReactNode };

/** A machine in one of the Bench's short lists, and the way to what is said of it. */
export const BenchLink = ({ to, tag, stop = false, end, children }: BenchLinkProps) => (
  <Row
    to={to}
    display="grid"
    gridTemplateColumns={end === undefined ? '{sizes.21} 1fr' : '{sizes.21} 1fr auto'}
    gap="3"
    alignItems="center"
    minHeight="13"
    paddingBlock="1.5"
    borderTopWidth="thin"
    borderColor="line"
    textDecoration="none"
    color="ink"
    _hover={{ bg: 'well' }}
  >
    <Box>
      <MachineTag tag={tag} stop={stop} size="sm" />
    </Box>
    <Box lineHeight="snug">{children}</Box>
    {end}
  </Row>
);
