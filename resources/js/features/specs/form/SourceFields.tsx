import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { Sheet } from '../../../components/Buttons';
import { Entry } from '../../../components/Entry';
import { PickOne } from '../../../components/PickOne';
import type { FormProps } from '../SpecEditScreen';

const kinds = [
  { key: 'document', label: "The maker's document" },
  { key: 'practice', label: 'Common practice' },
] as const;

/** Where the figures stand, so that a second person can find them. */
export const SourceFields = ({ draft, set }: FormProps) => (
  <Sheet padding="4" aria-label="Source">
    <Heading as="h2" fontSize="lg" marginBottom="2">
      Where it stands
    </Heading>
    <Flex marginBottom="3">
      <PickOne
        says="Kind of source"
        mark="source"
        options={kinds}
        value={draft.practice ? 'practice' : 'document'}
        onPick={(key) =>
          set({
            practice: key === 'practice',
            ...(key === 'practice' || draft.document !== 'What the trade usually does' ? {} : { document: '' }),
          })
        }
      />
    </Flex>
    {draft.practice && (
      <Box bg="violet.wash" borderRadius="sm" padding="3" marginBottom="3" lineHeight="snug">
        No maker's figure. Everything judged by it says so, until a document is at hand.
      </Box>
    )}
    <Grid templateColumns={{ base: '1fr', md: '2fr 1fr 6rem 10rem' }} gap="3">
      <Entry
        label={draft.practice ? 'In a few words' : 'Document'}
        value={draft.document}
        onChange={(document) => set({ document })}
        most={120}
        name="document"
      />
      <Entry label="Edition" value={draft.edition} onChange={(edition) => set({ edition })} name="edition" />
      <Entry label="Page" value={draft.page} onChange={(page) => set({ page })} most={20} name="page" />
      <Entry label="Date" value={draft.date} onChange={(date) => set({ date })} kind="date" name="date" />
    </Grid>
  </Sheet>
);
