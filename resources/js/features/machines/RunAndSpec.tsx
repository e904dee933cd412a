import { Box, Grid, Heading } from '@chakra-ui/react';
import type { MachineControl } from '../../api/machines';
import { Chip, LinkButton, Sheet } from '../../components/Buttons';
import { torqueText } from '../../lib/figures';

export const RunAndSpec = ({ tag, control }: { tag: string; control: MachineControl }) => (
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
            {adjuster.at_say !== null
              ? `, ${adjuster.at_say}, ${adjuster.room_say}`
              : adjuster.kind_label === adjuster.name
                ? ', not looked at yet'
                : `, ${adjuster.kind_label}`}
          </Box>
        </Box>
      ))}
      <LinkButton
        to={`/machines/${encodeURIComponent(tag)}/${encodeURIComponent(control.key)}/cables`}
        look="quiet"
        size="small"
        textDecoration="none"
        marginTop="3"
        data-fitting={control.key}
      >
        Which cable fits
      </LinkButton>
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
        {control.spec.checked_by === null ? ', not checked yet' : `, checked by ${control.spec.checked_by}`}
      </Box>
      {(control.spec.draft || control.spec.common_practice) && (
        <Box marginTop="2">
          <Chip tone="cantTell">
            {control.spec.draft ? 'not checked by a second person' : "common practice, no maker's figure"}
          </Chip>
        </Box>
      )}
      <Box marginTop="2" lineHeight="snug">
        {control.spec.printed !== null && <Box>Printed: {control.spec.printed}</Box>}
        {control.spec.interval !== null && <Box>The book looks {control.spec.interval}.</Box>}
        {control.spec.torques.map((torque) => (
          <Box key={torque.what}>
            {torque.what}: {torqueText(torque.nm)}
          </Box>
        ))}
      </Box>
      <LinkButton to={`/specs/${control.spec.id}`} look="quiet" size="small" textDecoration="none" marginTop="3">
        Version {control.spec.version} in the library
      </LinkButton>
    </Sheet>
  </Grid>
);
