import { Box } from '@chakra-ui/react';
import { say } from '../api/client';

/** Why something was not done, in the server's own sentence. */
export const Refusal = ({ error, words = String }: { error: unknown; words?: (sentence: string) => string }) => (
  <Box role="alert" bg="red.wash" borderRadius="sm" padding="3" marginTop="4">
    {words(say(error))}
  </Box>
);
