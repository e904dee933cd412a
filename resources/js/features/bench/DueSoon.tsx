import { Box, chakra, Heading } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { BenchRow } from '../../api/bench';
import { Sheet } from '../../components/Buttons';
import { MachineTag } from '../../components/MachineTag';
import { due } from '../../lib/time';
import { placeOf } from './place';

const Row = chakra(Link);

export const DueSoon = ({ rows }: { rows: readonly BenchRow[] }) => (
  <Sheet padding="4">
    <Heading as="h2" fontSize="lg" marginBottom="2">
      Due soon
    </Heading>
    {rows.length === 0 && <Box color="soft">Nothing falls due within a month.</Box>}
    {rows.map((row) => (
      <Row
        key={`${row.tag} ${row.control.key}`}
        to={placeOf(row)}
        display="grid"
        gridTemplateColumns="5.25rem 1fr"
        gap="3"
        alignItems="center"
        minHeight="3.25rem"
        borderTopWidth="thin"
        borderColor="line"
        textDecoration="none"
        color="ink"
        _hover={{ bg: 'well' }}
      >
        <Box>
          <MachineTag tag={row.tag} size="sm" />
        </Box>
        <Box lineHeight="snug">
          {row.control.name.toLowerCase()} {due(row.control.due_on ?? '')}
          <Box textStyle="small">{row.control.due_why}</Box>
        </Box>
      </Row>
    ))}
  </Sheet>
);
