import { Heading } from '@chakra-ui/react';
import { Sheet } from '../../components/Buttons';
import { UnitChoices } from '../../components/UnitChoices';

/** How figures are read here by everybody who chose nothing under their own name. */
export const UnitsPart = () => (
  <Sheet padding="4" aria-label="Units" maxWidth="40rem">
    <Heading as="h2" fontSize="lg" marginBottom="2">
      How figures are read here
    </Heading>
    <UnitChoices whose="shop" />
  </Sheet>
);
