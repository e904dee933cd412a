import { Box, Heading } from '@chakra-ui/react';
import type { Done } from '../../api/bench';
import { Sheet } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { BenchLink } from './BenchLink';

const marks = { fit: 'inside', by_choice: 'found', tagged: 'tag', checked: 'left' } as const;

/** What was signed today, with the minutes it took. */
export const DoneSheet = ({ done }: { done: readonly Done[] }) =>
  done.length === 0 ? null : (
    <Sheet padding="4" aria-label="Done today">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Done today
      </Heading>
      {done.map((one) => (
        <BenchLink
          key={one.job}
          to={`/jobs/${one.job}`}
          tag={one.tag}
          end={<Mark kind={one.outcome === null ? 'quiet' : marks[one.outcome]} />}
        >
          {one.control_name}
          <Box textStyle="small">
            {one.spent} min, {one.planned} planned
          </Box>
        </BenchLink>
      ))}
    </Sheet>
  );
