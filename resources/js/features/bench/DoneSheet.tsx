import { Box, Flex, Heading } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { Done } from '../../api/bench';
import { Sheet } from '../../components/Buttons';
import { MachineTag } from '../../components/MachineTag';
import { Mark } from '../../components/Marks';

const marks = { fit: 'inside', by_choice: 'found', tagged: 'tag' } as const;

/** What was signed today, with the minutes it took. */
export const DoneSheet = ({ done }: { done: readonly Done[] }) =>
  done.length === 0 ? null : (
    <Sheet padding="4" aria-label="Done today">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Done today
      </Heading>
      {done.map((one) => (
        <Flex
          key={one.job}
          gap="3"
          alignItems="center"
          borderTopWidth="thin"
          borderColor="line"
          paddingBlock="2"
          asChild
        >
          <Link to={`/jobs/${one.job}`} style={{ textDecoration: 'none', color: 'inherit' }}>
            <MachineTag tag={one.tag} size="sm" />
            <Box flex="1" lineHeight="snug">
              {one.control_name}
              <Box textStyle="small">
                {one.spent} min, {one.planned} planned
              </Box>
            </Box>
            <Mark kind={one.outcome === null ? 'quiet' : marks[one.outcome]} />
          </Link>
        </Flex>
      ))}
    </Sheet>
  );
