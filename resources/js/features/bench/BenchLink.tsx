import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { MachineTag } from '../../components/MachineTag';

const Row = chakra(Link);

type BenchLinkProps = { to: string; tag: string | null; stop?: boolean; end?: ReactNode; children: ReactNode };

/** A machine in a short list, and the way to what is said of it; without its tag where all of them are of one. */
export const BenchLink = ({ to, tag, stop = false, end, children }: BenchLinkProps) => (
  <Row
    to={to}
    display="grid"
    gridTemplateColumns={`${tag === null ? '' : '{sizes.21} '}1fr${end === undefined ? '' : ' auto'}`}
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
    {tag !== null && (
      <Box>
        <MachineTag tag={tag} stop={stop} size="sm" />
      </Box>
    )}
    <Box lineHeight="snug">{children}</Box>
    {end}
  </Row>
);
