import { Box, Grid, Heading } from '@chakra-ui/react';
import type { MachineControl } from '../../api/machines';
import { Sheet } from '../../components/Buttons';

export const RunAndSpec = ({ control }: { control: MachineControl }) => (
  <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="4">
    <Sheet padding="4">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Adjusters
      </Heading>
      {control.adjusters.map((adjuster) => (
        <Box key={adjuster.id} marginTop="1">
          {adjuster.name}
          {adjuster.thread !== null && ` ${adjuster.thread}`}
          <Box as="span" color="soft">
            , {adjuster.at_say === null ? adjuster.kind_label : `${adjuster.at_say}, ${adjuster.room_say} left`}
          </Box>
        </Box>
      ))}
    </Sheet>
    <Sheet padding="4">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Spec
      </Heading>
      <Box>
        {[control.spec.document, control.spec.edition, control.spec.page === null ? null : `page ${control.spec.page}`]
          .filter(Boolean)
          .join(', ')}
      </Box>
      <Box textStyle="small" marginTop="1">
        {control.spec.entered_by !== null && `Entered by ${control.spec.entered_by}`}
        {control.spec.checked_by !== null && `, checked by ${control.spec.checked_by}`}
      </Box>
    </Sheet>
  </Grid>
);
