import { Box, Flex, Grid } from '@chakra-ui/react';
import { Button, FieldLabel } from '../../../components/Buttons';
import { PickOne } from '../../../components/PickOne';
import { capital } from '../../../lib/capital';
import type { SpecDraft } from '../draft';
import type { FormProps } from '../SpecEditScreen';
import { SpecEntry } from './SpecEntry';

const kinds = [
  { key: 'document', label: "The maker's document" },
  { key: 'practice', label: 'Common practice' },
] as const;

/** What a maker's document mostly is; tapped, it is written out with the model. */
const usual = ['workshop manual', "owner's manual", 'plate on the machine'];

type SourceProps = FormProps & {
  /** What the trade usually does, where the spec is a new one: chosen, its figures are filled in and say so. */
  practice?: SpecDraft | undefined;
};

/** Where the figures stand, so that a second person can find them. */
export const SourceFields = ({ draft, set, practice }: SourceProps) => {
  const pick = (key: string) => {
    const isPractice = key === 'practice';
    if (isPractice === draft.practice) return;
    if (practice === undefined) return set({ practice: isPractice });
    set(
      isPractice
        ? {
            practice: true,
            document: practice.document,
            ...{ printed: '', low: practice.low, high: practice.high, point: practice.point },
          }
        : { practice: false, document: '', ...(draft.printed === '' ? { low: '', high: '' } : {}) },
    );
  };
  return (
    <Box>
      <FieldLabel as="div">Where it stands</FieldLabel>
      <Flex marginBottom="3">
        <PickOne
          says="Kind of source"
          mark="source"
          options={kinds}
          value={draft.practice ? 'practice' : 'document'}
          onPick={pick}
        />
      </Flex>
      {draft.practice && (
        <Box bg="violet.wash" borderRadius="sm" padding="3" marginBottom="3" lineHeight="snug">
          No maker's figure. Everything judged by it says so, until a document is at hand.
        </Box>
      )}
      <Grid templateColumns={{ base: '1fr 1fr', md: '2fr {sizes.24} 1fr {sizes.40}' }} gap="3">
        <Box gridColumn={{ base: '1 / -1', md: 'auto' }}>
          <SpecEntry
            label={draft.practice ? 'In a few words' : 'Document'}
            value={draft.document}
            onChange={(document) => set({ document })}
            most={120}
            field="document"
            name="document"
          />
        </Box>
        <SpecEntry
          label="Page"
          value={draft.page}
          onChange={(page) => set({ page })}
          most={20}
          field="page"
          name="page"
        />
        <SpecEntry
          label="Edition"
          value={draft.edition}
          onChange={(edition) => set({ edition })}
          field="edition"
          name="edition"
        />
        <SpecEntry
          label="Date"
          value={draft.date}
          onChange={(date) => set({ date })}
          kind="date"
          field="date"
          name="date"
        />
      </Grid>
      {!draft.practice && draft.document.trim() === '' && (
        <Flex gap="2" marginTop="2" flexWrap="wrap" role="group" aria-label="Usual documents">
          {usual.map((one) => (
            <Button
              key={one}
              look="quiet"
              size="small"
              onClick={() => set({ document: `${draft.model.trim()} ${one}`.trim() })}
              data-document={one}
            >
              {capital(one)}
            </Button>
          ))}
        </Flex>
      )}
    </Box>
  );
};
