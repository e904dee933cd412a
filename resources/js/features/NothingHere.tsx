import { Box } from '@chakra-ui/react';
import { LinkButton, Sheet } from '../components/Buttons';
import { Frame } from '../components/Frame';
import { Title } from '../components/Title';

export default function NothingHere() {
  return (
    <Frame>
      <Sheet padding="6" maxWidth="136">
        <Title marginBottom="2">No such page</Title>
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
