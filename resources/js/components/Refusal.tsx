import { Box } from '@chakra-ui/react';
import { say } from '../api/client';

/** What came up below the edge of its column or window is scrolled to, no further than it needs. */
export const comeInSight = (box: HTMLElement | null) => box?.scrollIntoView({ block: 'nearest' });

/** Why something was not done, in the server's own sentence. */
export const Refusal = ({ error, words = String }: { error: unknown; words?: (sentence: string) => string }) => (
  <Box ref={comeInSight} role="alert" bg="red.wash" borderRadius="sm" padding="3" marginTop="4" scrollMarginBlock="4">
    {words(say(error))}
  </Box>
);
