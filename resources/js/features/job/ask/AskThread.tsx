import { Box, Flex } from '@chakra-ui/react';
import type { Item } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { useArmed } from '../useArmed';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';

/** How much thread shows: the home mark that everything can be brought back to. */
export const AskThread = ({ item }: { item: Item }) => {
  const { send } = useBench();
  const armed = useArmed(item.key);
  return (
    <AskCard eyebrow="Before anything is turned" title={item.label}>
      <Box lineHeight="snug">{item.detail} Measure from the fixed end to the start of the thread, and type it.</Box>
      <Flex direction="column" gap="2">
        {item.answers.map((answer) => (
          <Button
            key={answer.word}
            look="vivid"
            onClick={() => armed && send({ kind: answer.kind, body: answer.body })}
            data-answer={answer.word}
            data-primary
          >
            {answer.label}
          </Button>
        ))}
      </Flex>
    </AskCard>
  );
};
