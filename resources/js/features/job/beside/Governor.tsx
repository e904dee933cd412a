import { Box, Flex } from '@chakra-ui/react';
import { Button } from '../../../components/Buttons';
import { useBench } from '../useBench';

/** What to do about the governor's nut: last, and never past the limit. */
export const Governor = ({ vivid = false }: { vivid?: boolean }) => {
  const { state, send, mayWrite } = useBench();
  const { governor } = state.beside;
  if (governor === null) return null;
  const { body } = governor;
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
      <Box lineHeight="snug" flex="1 1 16rem">
        <b>Governor.</b> {governor.sentence}
      </Box>
      {body !== null && mayWrite && (
        <Button
          look={vivid ? 'vivid' : 'plain'}
          size={vivid ? 'tall' : undefined}
          width={vivid ? '100%' : undefined}
          onClick={() => send({ kind: 'move', body })}
        >
          Done: {governor.phrase}
        </Button>
      )}
    </Flex>
  );
};
