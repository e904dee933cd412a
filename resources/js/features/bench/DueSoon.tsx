import { Box, Heading } from '@chakra-ui/react';
import type { BenchRow } from '../../api/bench';
import { LinkButton, Sheet } from '../../components/Buttons';
import { due, dueWhen } from '../../lib/time';
import { BenchLink } from './BenchLink';
import { placeOf } from './place';

export const DueSoon = ({ rows }: { rows: readonly BenchRow[] }) => (
  <Sheet padding="4">
    <Heading as="h2" fontSize="lg" marginBottom="2">
      Due soon
    </Heading>
    {rows.length === 0 && <Box color="soft">Nothing falls due within a month.</Box>}
    {rows.map((row) => (
      <BenchLink key={`${row.tag} ${row.control.key}`} to={placeOf(row)} tag={row.tag}>
        {row.control.name.toLowerCase()} {dueWhen(row.control.due_in ?? due(row.control.due_on ?? ''))}
        <Box textStyle="small">{row.control.due_why}</Box>
      </BenchLink>
    ))}
    <LinkButton to="/due" look="quiet" size="small" textDecoration="none" marginTop="3">
      Everything due
    </LinkButton>
  </Sheet>
);
