import { Box, Flex } from '@chakra-ui/react';
import type { Check, WearStory } from '../../api/machines';
import { Mark } from '../../components/Marks';
import { counted } from '../../lib/figures';
import { day, daysFromToday } from '../../lib/time';

/** What the chart means, in words, and what asks for the next look. */
export const Story = ({ story, usageUnit }: { story: WearStory; usageUnit: string }) => (
  <Box marginTop="2">
    {story.heading !== null && (
      <Box lineHeight="snug" data-story>
        <b>{story.heading}:</b> {story.words}
      </Box>
    )}
    {story.again.map((sentence) => (
      <Flex
        key={sentence}
        gap="3"
        bg="amber.wash"
        borderRadius="md"
        padding="3"
        marginTop="3"
        lineHeight="snug"
        data-again
      >
        <Mark kind="found" size="large" style={{ marginTop: '2px' }} />
        <Box>{sentence}</Box>
      </Flex>
    ))}
    {story.next !== null && <Next next={story.next} usageUnit={usageUnit} />}
  </Box>
);

const when = (check: Check, usageUnit: string) =>
  [check.usage === null ? null : `${counted(check.usage)} ${usageUnit}`, check.day === null ? null : day(check.day)]
    .filter(Boolean)
    .join(', about ');

const Next = ({ next, usageUnit }: { next: NonNullable<WearStory['next']>; usageUnit: string }) => {
  const over = next.day !== null && daysFromToday(next.day) < 0;
  const rest = next.all.slice(1);
  return (
    <Flex
      gap="3"
      alignItems="flex-start"
      bg={over ? 'amber.wash' : 'well'}
      borderRadius="md"
      padding="3"
      marginTop="3"
      lineHeight="snug"
      data-next-check
    >
      <Mark kind={over ? 'found' : 'next'} size="large" style={{ marginTop: '2px' }} />
      <Box>
        <b>
          Next check {over ? 'was due ' : ''}
          {when(next, usageUnit)}
        </b>
        , by {next.label}.
        {rest.length > 0 && (
          <Box textStyle="small">
            {rest.map((check) => `${check.label}: ${when(check, usageUnit) || 'no day'}`).join(' · ')}
          </Box>
        )}
      </Box>
    </Flex>
  );
};
