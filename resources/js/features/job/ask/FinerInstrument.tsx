import { Box, Flex } from '@chakra-ui/react';
import { Button } from '../../../components/Buttons';
import { within } from '../../../lib/capital';
import { useBench } from '../useBench';

/** Play is told by no reading so coarse: what is finer on the shelf is taken in hand by one tap. */
export const FinerInstrument = () => {
  const { state, instrument, chooseInstrument } = useBench();
  const finer = state.next.finer.flatMap((id) => state.shelf.find((one) => one.id === id) ?? []);
  const taken = finer.find((one) => one.id === instrument?.id);
  if (taken !== undefined)
    return (
      <Box fontWeight="bold" role="status" data-finer-taken>
        The {within(taken.name)} is in hand: pull it fully, and type what it reads.
      </Box>
    );
  return (
    <Flex direction="column" gap="2">
      {finer.map((one, n) => (
        <Button
          key={one.id}
          look={n === 0 ? 'vivid' : 'plain'}
          size={n === 0 ? 'tall' : undefined}
          onClick={() => chooseInstrument(one.id)}
          data-primary={n === 0 ? true : undefined}
          data-take={one.id}
        >
          Take the {within(one.name)}
        </Button>
      ))}
    </Flex>
  );
};
