import { Box, Flex } from '@chakra-ui/react';
import { Button } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { useArmed } from '../useArmed';
import { useBench, useOutboxStatus } from '../useBench';

/** What to do about the governor's nut: last, and never past the limit. */
export const Governor = ({ vivid = false }: { vivid?: boolean }) => {
  const { state, send, mayWrite } = useBench();
  const { kept } = useOutboxStatus();
  // The same turn must not be logged twice.
  const ready = useArmed(state.head) && !kept.some((entry) => entry.state === 'waiting');
  const { governor } = state.beside;
  if (governor === null) return null;
  const { body } = governor;
  const nut = state.adjusters.find((one) => one.id === governor.adjuster);
  return (
    <Flex
      marginTop="3"
      paddingTop="3"
      borderTopWidth="thin"
      borderColor="line"
      gap="3"
      alignItems="center"
      justifyContent="space-between"
      flexWrap="wrap"
      data-governor
    >
      <Box lineHeight="snug" flex="1 1 {sizes.64}">
        <b>Governor.</b> {governor.sentence}
        {nut?.caution != null && <Caution compact>{nut.caution}</Caution>}
      </Box>
      {body !== null && mayWrite && (
        <Button
          look={vivid ? 'vivid' : 'plain'}
          size={vivid ? 'tall' : undefined}
          width={vivid ? '100%' : undefined}
          disabled={!ready}
          onClick={() => send({ kind: 'move', body })}
          data-primary={vivid || undefined}
        >
          Done: {governor.phrase}
        </Button>
      )}
    </Flex>
  );
};
