import { Box, Flex, Grid } from '@chakra-ui/react';
import type { Adjuster, Item } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { useArmed } from '../useArmed';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';

/** Where an adjuster stands: the home mark that everything can be brought back to. */
export const AskThread = ({ item }: { item: Item }) => {
  const { state, send } = useBench();
  const armed = useArmed(item.key);
  const adjuster = state.adjusters.find((one) => one.id === item.about);
  return (
    <AskCard eyebrow="Before anything is turned" title={item.label}>
      <Box lineHeight="snug">
        {item.detail} {adjuster === undefined ? '' : how(adjuster)}
      </Box>
      <Flex wrap="wrap" gap="2">
        {item.answers.map((answer) => (
          <Button
            key={answer.word}
            look={answer.tone === 'right' ? 'vivid' : 'plain'}
            flex={answer.tone === 'right' ? '1 0 100%' : '1 0 auto'}
            onClick={() => armed && send({ kind: answer.kind, body: answer.body })}
            data-answer={answer.word}
            data-primary={answer.tone === 'right' ? true : undefined}
          >
            {answer.label}
          </Button>
        ))}
      </Flex>
      {adjuster !== undefined && adjuster.places.length > 0 && <Places adjuster={adjuster} armed={armed} />}
    </AskCard>
  );
};

const how = (adjuster: Adjuster): string => {
  if (adjuster.thread !== null || adjuster.unit === 'mm')
    return adjuster.thread !== null
      ? 'Measure from the fixed end to the start of the thread, and type it.'
      : 'Measure from the end of its slot or clamp, and type it.';
  if (adjuster.places.length > 0) return `Count the ${adjuster.units} from the slack end, or point at it.`;
  return `Type how far it stands from its clockwise stop, in ${adjuster.units}.`;
};

/** Rungs and holes are few: each can be pointed at. */
const Places = ({ adjuster, armed }: { adjuster: Adjuster; armed: boolean }) => {
  const { send } = useBench();
  return (
    <Grid templateColumns="repeat(5, 1fr)" gap="2" role="group" aria-label={`The ${adjuster.units}`}>
      {adjuster.places.map((place) => (
        <Button
          key={place}
          look="plain"
          paddingInline="0"
          onClick={() => armed && send({ kind: 'thread', body: { adjuster: adjuster.id, steps: place } })}
          data-place={place}
        >
          {place}
        </Button>
      ))}
    </Grid>
  );
};
