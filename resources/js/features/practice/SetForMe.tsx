import { Box, Flex, Heading } from '@chakra-ui/react';
import type { PracticeLessons } from '../../api/practice';
import { Button, Sheet } from '../../components/Buttons';
import { due, dueLine } from '../../lib/time';
import { type Begin, beginSays } from './useBegin';

type Task = PracticeLessons['set'][number];

/** What a teacher set: the lesson, how much help there is, and until when. */
export const SetForMe = ({ set, begin }: { set: readonly Task[]; begin: Begin }) => {
  const first = set.find((one) => one.best === null)?.task;
  return (
    <Sheet tone={first === undefined ? 'plain' : 'vivid'} padding="4" aria-label="Set for you" data-set-for-me>
      <Heading as="h2" fontSize="xl">
        Set for you
      </Heading>
      {set.map((one) => (
        <Flex
          key={one.task}
          gap="3"
          alignItems="center"
          flexWrap="wrap"
          paddingBlock="2"
          borderBottomWidth="thin"
          borderColor="line"
          _last={{ borderBottomWidth: '0' }}
          data-task={one.task}
        >
          <Box flex="1 1 {sizes.56}" lineHeight="snug">
            <b>{one.title}</b>
            <Box color="soft">
              {one.group} · {one.help}
              {one.due_on !== null && ` · ${dueLine(due(one.due_on))}`}
            </Box>
          </Box>
          {one.best !== null && <Box fontWeight="bold">{one.best} of 100</Box>}
          <Button
            look={one.task === first ? 'vivid' : 'plain'}
            data-primary={one.task === first || undefined}
            disabled={begin.busy}
            onClick={() => begin.start(one.lesson, one.open, one.task)}
            aria-label={`${beginSays(one)}: ${one.title}, set for you`}
          >
            {beginSays(one)}
          </Button>
        </Flex>
      ))}
    </Sheet>
  );
};
