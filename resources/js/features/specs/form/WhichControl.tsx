import { Grid, Heading } from '@chakra-ui/react';
import { Sheet } from '../../../components/Buttons';
import { Entry } from '../../../components/Entry';
import { shortName } from '../draft';
import type { FormProps } from '../SpecEditScreen';

export const WhichControl = ({ draft, set, fixed }: FormProps & { fixed: boolean }) => (
  <Sheet padding="4" aria-label="Which control">
    <Heading as="h2" fontSize="lg" marginBottom="2">
      Which control
    </Heading>
    <Grid templateColumns={{ base: '1fr', md: '1.4fr 1.2fr 8rem' }} gap="3">
      {!fixed && (
        <Entry
          label="Machine model"
          value={draft.model}
          onChange={(model) => set({ model })}
          name="model"
          hint="As it is written on the machine's plate"
        />
      )}
      <Entry
        label="Name of the control"
        value={draft.name}
        onChange={(name) => set({ name, ...(fixed ? {} : { control: shortName(name) }) })}
        name="name"
      />
      <Entry
        label="Minutes"
        value={draft.minutes}
        onChange={(minutes) => set({ minutes })}
        kind="whole"
        most={3}
        name="minutes"
      />
    </Grid>
  </Sheet>
);
