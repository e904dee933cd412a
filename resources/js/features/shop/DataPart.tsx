import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type ImportFile, importQuery, takeFile } from '../../api/exchange';
import { Sheet } from '../../components/Buttons';
import { FilePick } from '../../components/FilePick';
import { PickOne } from '../../components/PickOne';
import { Refusal } from '../../components/Refusal';
import { useSignedIn } from '../../lib/signedIn';
import { uuid } from '../../lib/uuid';
import { ImportReport } from './ImportReport';

const out = [
  { key: 'history', name: 'History', about: 'Every signed job: found, left, against what use, by whom' },
  { key: 'readings', name: 'Readings', about: 'Every reading, put right or taken back where it was' },
  { key: 'specs', name: 'Specs', about: 'The newest version of every spec' },
  { key: 'cables', name: 'Cables', about: 'The book of cables: lengths, ends, numbers, by whom' },
  { key: 'causes', name: 'Causes', about: 'How often each cause was at the bottom of a complaint here' },
] as const;
const forms = [
  { key: 'csv', label: 'CSV' },
  { key: 'spreadsheet', label: 'CSV for a spreadsheet' },
  { key: 'json', label: 'JSON' },
] as const;

/** Open formats, out and in. */
export const DataPart = () => {
  const person = useSignedIn();
  return (
    <Grid templateColumns={{ base: '1fr', lg: person.may_keep_shop ? '1fr 1fr' : '1fr' }} gap="4" alignItems="start">
      <Sheet padding="4" aria-label="Out">
        <Heading as="h2" fontSize="lg" marginBottom="2">
          Out
        </Heading>
        {out.map((one) => (
          <Box key={one.key} borderTopWidth="thin" borderColor="line" paddingBlock="2.5">
            <b>{one.name}</b>
            <Box textStyle="small">{one.about}</Box>
            <Flex gap="4" flexWrap="wrap" marginTop="1">
              {forms.map((form) => (
                <chakra.a
                  key={form.key}
                  href={`/api/export/${one.key}?as=${form.key}`}
                  download
                  display="inline-flex"
                  alignItems="center"
                  minHeight="touch"
                >
                  {form.label}
                </chakra.a>
              ))}
            </Flex>
          </Box>
        ))}
        {person.may_keep_shop && (
          <Box borderTopWidth="thin" borderColor="line" paddingBlock="2.5">
            <b>The whole shop</b>
            <Box textStyle="small">
              Everything but passwords, in one zip. bin/import begins an empty server from it; bin/backup and
              bin/restore are for this one.
            </Box>
            <chakra.a
              href="/api/export/shop"
              download
              display="inline-flex"
              alignItems="center"
              minHeight="touch"
              data-export-shop
            >
              Download as one zip
            </chakra.a>
          </Box>
        )}
      </Sheet>
      {person.may_keep_shop && <In />}
    </Grid>
  );
};

const kinds = [
  { key: 'history', label: 'History' },
  { key: 'readings', label: 'Readings' },
  { key: 'specs', label: 'Specs' },
  { key: 'causes', label: 'Causes' },
  { key: 'cables', label: 'Cables' },
] as const;
const holds: Record<ImportFile['kind'], string> = {
  history:
    'Jobs done before they were logged here: machine, control, day, usage, found_mm, left_mm, signed_by. Their wear stories go on from them.',
  readings: 'The readings behind a history, by the id of their job. Take in the history first: it makes the jobs.',
  specs: 'Each comes in as a draft, for a second person to hold against its document.',
  cables:
    'Cables that were measured elsewhere: name and wire_mm, the rest if it is known. One whose number the book has stays as it is.',
  causes:
    'How often another workshop found each cause: it weighs beside your own. Taking in the same file again changes nothing.',
};

const In = () => {
  const [kind, setKind] = useState<ImportFile['kind']>('history');
  const [id, setId] = useState<string | null>(null);
  const take = useMutation({
    mutationFn: ({ made, file }: { made: string; file: File }) => takeFile(made, kind, file),
    onSuccess: (after) => setId(after.id),
  });
  const { data } = useQuery({ ...importQuery(id ?? ''), enabled: id !== null });
  return (
    <Sheet padding="4" aria-label="In">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        In
      </Heading>
      <PickOne
        says="What the file holds"
        mark="kind"
        options={kinds}
        value={kind}
        onPick={(key) => {
          setKind(key as ImportFile['kind']);
          setId(null);
          take.reset();
        }}
      />
      <Box color="soft" marginBlock="3" lineHeight="snug">
        {holds[kind]} CSV or JSON. Nothing is kept until you have seen every line that cannot be taken.
      </Box>
      <FilePick
        accept=".csv,.tsv,.txt,.json,text/csv,application/json"
        look={id === null ? 'vivid' : 'plain'}
        disabled={take.isPending}
        onPick={(file) => take.mutate({ made: uuid(), file })}
      >
        {id === null ? 'Choose a file' : 'Another file'}
      </FilePick>
      {take.isPending && <Box role="status">Sending the file.</Box>}
      {take.isError && <Refusal error={take.error} />}
      {data !== undefined && <ImportReport file={data} onDone={() => setId(null)} />}
      {id !== null && data === undefined && <Box role="status">Reading the file.</Box>}
    </Sheet>
  );
};
