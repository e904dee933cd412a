import { Box, Heading } from '@chakra-ui/react';
import { LinkButton, Sheet } from '../components/Buttons';
import { Frame } from '../components/Frame';

export default function NothingHere() {
  return (
    <Frame>
      <Sheet padding="6" maxWidth="136">
        <Heading as="h1" fontSize="2xl" marginBottom="2">
          No such page
        </Heading>
        <Box marginBottom="5">
          This address leads to no machine and no job. Type a tag in the line above, or go back to the Bench.
        </Box>
        <LinkButton to="/" look="vivid">
          To the Bench
        </LinkButton>
      </Sheet>
    </Frame>
  );
}
