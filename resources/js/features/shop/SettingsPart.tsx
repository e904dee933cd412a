import { Box, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { keys } from '../../api/keys';
import { sessionQuery, worksAlone } from '../../api/session';
import { Sheet } from '../../components/Buttons';
import { Checked } from '../../components/Checked';
import { Refusal } from '../../components/Refusal';
import { UnitChoices } from '../../components/UnitChoices';
import { useSignedIn } from '../../lib/signedIn';

/** What holds for the whole shop: how figures are read, and whether there is a second person. */
export const SettingsPart = () => (
  <Grid templateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="4" alignItems="start">
    <Sheet padding="4" aria-label="Units">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        How figures are read here
      </Heading>
      <UnitChoices whose="shop" />
    </Sheet>
    <Alone />
  </Grid>
);

const Alone = () => {
  const person = useSignedIn();
  const client = useQueryClient();
  const set = useMutation({
    mutationFn: worksAlone,
    onSuccess: (session) => {
      client.setQueryData(sessionQuery.queryKey, session);
      void client.invalidateQueries({ queryKey: keys.specs });
    },
  });
  return (
    <Sheet padding="4" aria-label="Second person">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Who checks a spec
      </Heading>
      <Checked
        mark="works-alone"
        checked={set.isPending ? set.variables : person.works_alone}
        onChange={(alone) => set.mutate(alone)}
      >
        One person works alone here
      </Checked>
      <Box textStyle="small">
        {person.works_alone
          ? 'A spec is used as soon as nothing in it is empty. Wherever it judges it says that no second person checked it.'
          : 'A spec is used once a second person held it against its document: a second pair of eyes finds what the first passed over.'}
      </Box>
      {set.isError && <Refusal error={set.error} />}
    </Sheet>
  );
};
