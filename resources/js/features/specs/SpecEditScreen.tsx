import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { keys } from '../../api/keys';
import { changeSpec, enterSpec, type SpecWhole, specQuery, startingQuery } from '../../api/specs';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { NotSaved, type Typed, useSeen } from '../../components/ChangedSince';
import { Pick } from '../../components/Entry';
import { Frame } from '../../components/Frame';
import { Failure, Loading } from '../../components/States';
import { draftOf, type SpecDraft, writtenOf } from './draft';
import { AsPrinted } from './form/AsPrinted';
import { BesidePlay } from './form/BesidePlay';
import { BookAdds } from './form/BookAdds';
import { CableRun } from './form/CableRun';
import { Conditions } from './form/Conditions';
import { OutcomeTables } from './form/OutcomeTables';
import { SecondPlay } from './form/SecondPlay';
import { SourceFields } from './form/SourceFields';
import { WhichControl } from './form/WhichControl';
import { families, inTheForm } from './words';

export type FormProps = { draft: SpecDraft; set: (change: Partial<SpecDraft>) => void };
type How = 'new' | 'next' | 'edit';

/** A spec entered from its document: a new one, the next version of one, or a draft put right. */
export default function SpecEditScreen({ how }: { how: How }) {
  return <Frame>{how === 'new' ? <FromFamily /> : <FromVersion how={how} />}</Frame>;
}

const FromFamily = () => {
  const [family, setFamily] = useState('clutch_lever');
  const { data, error, refetch } = useQuery(startingQuery(family));
  const pick = (
    <Box maxWidth="28rem" marginBottom="4">
      <Pick label="Family of control" value={family} onChange={setFamily} options={families} name="family" />
    </Box>
  );
  if (data === undefined) {
    return error === null ? <Loading what="a beginning" /> : <Failure error={error} retry={() => refetch()} />;
  }
  const head = { model: '', control: '', name: families.find((one) => one.key === family)?.label ?? '', minutes: 15 };
  return (
    <>
      <Heading as="h1" fontSize="2xl" marginBottom="3">
        Enter a spec
      </Heading>
      {pick}
      <Form key={family} start={draftOf(head, data.spec, data.run)} version={null} how="new" />
    </>
  );
};

/** A distance that the machines of the model corrected, put into the draft that begins the next version. */
function corrected(draft: SpecDraft, found: URLSearchParams): SpecDraft {
  const isGrip = draft.hand.kind === 'grip';
  const [point, wire] = [found.get('point_mm'), found.get('wire_mm')];
  return {
    ...draft,
    ...(point !== null && (isGrip ? { flange: point } : { pivotToPoint: point })),
    ...(wire !== null && (isGrip ? { drum: wire } : { pivotToWire: wire })),
  };
}

const FromVersion = ({ how }: { how: 'next' | 'edit' }) => {
  const id = Number(useParams().id ?? 0);
  const [found] = useSearchParams();
  const { data, error, refetch } = useQuery({ ...specQuery(id), refetchOnWindowFocus: false });
  if (data === undefined) {
    return error === null ? <Loading what="the spec" /> : <Failure error={error} retry={() => refetch()} />;
  }
  return (
    <>
      <Heading as="h1" fontSize="2xl" marginBottom="3">
        {data.model}, {data.name.toLowerCase()}:{' '}
        {how === 'next' ? 'the next version' : `version ${data.version} put right`}
      </Heading>
      <Form key={data.id} start={corrected(draftOf(data, data.spec, data.run ?? {}), found)} version={data} how={how} />
    </>
  );
};

/** A whole spec is too much to set side by side: this tells what became of it. */
const inShort: readonly Typed[] = [
  { name: 'says', label: 'Figure', mine: null },
  { name: 'printed', label: 'As printed', mine: null },
  { name: 'source', label: 'Source', mine: null },
];

const Form = ({ start, version, how }: { start: SpecDraft; version: SpecWhole | null; how: How }) => {
  const [draft, setDraft] = useState(start);
  const client = useQueryClient();
  const navigate = useNavigate();
  const { seen, onError } = useSeen(version?.content);
  const keep = useMutation({
    mutationFn: () =>
      how === 'edit' && version !== null ? changeSpec(version.id, writtenOf(draft), seen) : enterSpec(writtenOf(draft)),
    onError,
    onSuccess: (after) => {
      client.setQueryData(specQuery(after.id).queryKey, after);
      void client.invalidateQueries({ queryKey: keys.specs });
      navigate(`/specs/${after.id}`);
    },
  });
  const set = (change: Partial<SpecDraft>) => {
    if (keep.isError) keep.reset();
    setDraft((now) => ({ ...now, ...change }));
  };
  const form = { draft, set };
  return (
    <Grid templateColumns={{ base: '1fr', lg: '1fr 22rem' }} gap="4" alignItems="start">
      <Flex direction="column" gap="4" minWidth="0">
        <WhichControl {...form} fixed={how !== 'new'} />
        <SourceFields {...form} />
        <Conditions {...form} />
        <BookAdds {...form} />
        <SecondPlay {...form} />
        <OutcomeTables {...form} />
        <BesidePlay {...form} />
        <CableRun {...form} />
      </Flex>
      <Sheet padding="4" position={{ lg: 'sticky' }} top="4" aria-label="The figure">
        <AsPrinted {...form} />
        {keep.isError && <NotSaved error={keep.error} fields={inShort} words={inTheForm} />}
        <Flex direction="column" gap="2" marginTop="4">
          <Button look="vivid" size="tall" onClick={() => keep.mutate()} disabled={keep.isPending} data-primary>
            {keep.isPending ? 'Saving' : 'Save as a draft'}
          </Button>
          <LinkButton
            to={version === null ? '/specs' : `/specs/${version.id}`}
            look="quiet"
            textDecoration="none"
            textAlign="center"
          >
            Cancel
          </LinkButton>
        </Flex>
        <Box textStyle="small" marginTop="3">
          A second person holds a draft against the document before it is put in force. The machine's own manual wins
          over anything in here.
        </Box>
      </Sheet>
    </Grid>
  );
};
