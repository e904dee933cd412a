import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { type SpecWhole, specQuery, startingQuery } from '../../api/specs';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { NotSaved, type Typed } from '../../components/ChangedSince';
import { Checked } from '../../components/Checked';
import { Frame } from '../../components/Frame';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { useSignedIn } from '../../lib/signedIn';
import { moment } from '../../lib/time';
import { copied, draftOf, fromBook, inAnotherFamily, type SpecDraft } from './draft';
import { AsPrinted } from './form/AsPrinted';
import { CableRun } from './form/CableRun';
import { Folded } from './form/Folded';
import { LikeAnother } from './form/LikeAnother';
import { PageBeside } from './form/PageBeside';
import { SourceFields } from './form/SourceFields';
import { WrongFields } from './form/SpecEntry';
import { WhichControl } from './form/WhichControl';
import { useSaving } from './useSaving';
import { useSpecDraft } from './useSpecDraft';
import { families, inTheForm } from './words';

export type FormProps = { draft: SpecDraft; set: (change: Partial<SpecDraft>) => void };
export type How = 'new' | 'next' | 'edit';

/** A spec entered from its document: a new one, the next version of one, or a draft put right. */
export default function SpecEditScreen({ how }: { how: How }) {
  const navigate = useNavigate();
  return (
    <Frame>
      {how === 'new' ? (
        <>
          <Title marginBottom="3">Enter a spec</Title>
          <NewSpec back="/specs" onSaved={(after) => navigate(`/specs/${after.id}`)} />
        </>
      ) : (
        <FromVersion how={how} />
      )}
    </Frame>
  );
}

const FIRST_FAMILY = 'clutch_lever';

type NewProps = {
  /** The model, where it stands already. */
  model?: string;
  /** Whether it is asked to hang itself on the machines of its model. */
  hangs?: boolean;
  back: string;
  onSaved: (after: SpecWhole) => void;
};

/** A spec that begins with its family. Nothing that looks like a book's figure is filled in. */
export const NewSpec = ({ model = '', hangs = false, back, onSaved }: NewProps) => {
  const { data, error, refetch } = useQuery(startingQuery(FIRST_FAMILY));
  if (data === undefined) {
    return error === null ? <Loading what="a beginning" /> : <Failure error={error} retry={() => refetch()} />;
  }
  const head = { model, control: '', name: familyName(FIRST_FAMILY), minutes: 15 };
  const start = fromBook(draftOf(head, data.spec, data.run));
  return (
    <Form
      start={start}
      hangs={hangs}
      version={null}
      how="new"
      back={back}
      onSaved={onSaved}
      modelStands={model !== ''}
    />
  );
};

const familyName = (key: string) => families.find((one) => one.key === key)?.label ?? key;

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
  const navigate = useNavigate();
  const { data, error, refetch } = useQuery({ ...specQuery(id), refetchOnWindowFocus: false });
  if (data === undefined) {
    return error === null ? <Loading what="the spec" /> : <Failure error={error} retry={() => refetch()} />;
  }
  return (
    <>
      <Title marginBottom="3">
        {data.model}, {data.name.toLowerCase()}:{' '}
        {how === 'next' ? 'the next version' : `version ${data.version} put right`}
      </Title>
      <Form
        key={data.id}
        start={corrected(draftOf(data, data.spec, data.run ?? {}), found)}
        hangs={data.hangs}
        version={data}
        how={how}
        back={`/specs/${data.id}`}
        onSaved={(after) => navigate(`/specs/${after.id}`)}
      />
    </>
  );
};

/** A whole spec is too much to set side by side: this tells what became of it. */
const inShort: readonly Typed[] = [
  { name: 'says', label: 'Figure', mine: null },
  { name: 'printed', label: 'As printed', mine: null },
  { name: 'source', label: 'Source', mine: null },
];

type FormAllProps = {
  start: SpecDraft;
  version: SpecWhole | null;
  how: How;
  hangs: boolean;
  modelStands?: boolean;
  back: string;
  onSaved: (after: SpecWhole) => void;
};

const Form = ({ start, version, how, hangs: asked, modelStands = false, back, onSaved }: FormAllProps) => {
  const typed = useSpecDraft({ start, asked, version, how });
  const { draft, setDraft, hangs, setHangs, picture, setPicture, form: held } = typed;
  const client = useQueryClient();
  const { keep, saved, save } = useSaving({ typed, version, how, onSaved });
  const family = useMutation({
    mutationFn: (key: string) => client.fetchQuery(startingQuery(key)),
    onSuccess: (starting, key) =>
      setDraft((now) =>
        inAnotherFamily(
          now,
          draftOf({ ...now, name: familyName(key), control: '', minutes: 15 }, starting.spec, starting.run),
        ),
      ),
  });
  const set = (change: Partial<SpecDraft>) => {
    if (keep.isError) keep.reset();
    typed.change(change);
  };
  const form = { draft, set };
  const { data: starting } = useQuery({ ...startingQuery(draft.family), enabled: how === 'new' });
  const practice = starting === undefined ? undefined : draftOf({ ...draft, minutes: 15 }, starting.spec, starting.run);
  const { errors } = held.formState;
  const isMarked = !keep.isError && Object.keys(errors).length > 0;
  return (
    <WrongFields errors={errors}>
      <Grid templateColumns={{ base: '1fr', lg: '1fr {sizes.82}' }} gap="4" alignItems="start">
        <Flex direction="column" gap="4" minWidth="0">
          <Sheet padding="4" aria-label="What the book says">
            {typed.copiedFrom !== null && <CopiedFrom from={typed.copiedFrom} />}
            <Begun {...typed} />
            <Flex direction="column" gap="4">
              <AsPrinted {...form} first={how === 'new'} />
              <WhichControl
                {...form}
                fixed={how !== 'new'}
                onFamily={how === 'new' ? family.mutate : undefined}
                modelStands={modelStands}
              />
              <SourceFields {...form} practice={practice} />
            </Flex>
            {family.isError && <Refusal error={family.error} />}
          </Sheet>
          <CableRun {...form} />
          <Folded {...form} />
        </Flex>
        <Sheet padding="4" position={{ lg: 'sticky' }} top="4" aria-label="Save">
          {isMarked && (
            <Box
              bg="red.wash"
              borderRadius="sm"
              padding="3"
              marginBottom="3"
              lineHeight="snug"
              role="alert"
              data-marked
            >
              <b>Not saved.</b> Fill in what is marked.
            </Box>
          )}
          {keep.isError && <NotSaved error={keep.error} fields={inShort} words={inTheForm} />}
          {saved !== null && keep.isError && (
            <Box marginBottom="2">The figures are saved. Its picture is not: try again, or go without it.</Box>
          )}
          <Save
            how={how}
            model={draft.model.trim()}
            hangs={hangs}
            onHangs={setHangs}
            saving={keep.isPending}
            onSave={() => void save()}
            back={back}
            onCancel={typed.forget}
          >
            {how === 'new' && (
              <LikeAnother
                onCopy={(other) => {
                  set(copied(draft, draftOf(other, other.spec, other.run ?? {})));
                  typed.setCopiedFrom(`${other.model}, ${other.name.toLowerCase()}`);
                }}
              />
            )}
          </Save>
          <PageBeside
            kept={version?.has_sketch === true && how === 'edit' ? `/api/specs/${version.id}/sketch` : null}
            picture={picture}
            onPick={setPicture}
          />
        </Sheet>
      </Grid>
    </WrongFields>
  );
};

type BegunProps = Pick<ReturnType<typeof useSpecDraft>, 'before' | 'putAway' | 'anew' | 'takeBack'>;

/** That this is what was typed before, and the way to a new beginning; from there, the way back. */
const Begun = ({ before, putAway, anew, takeBack }: BegunProps) =>
  (before !== null || putAway !== null) && (
    <Flex
      gap="3"
      alignItems="center"
      flexWrap="wrap"
      bg="amber.wash"
      borderRadius="sm"
      padding="3"
      marginBottom="4"
      lineHeight="snug"
      role="status"
      data-begun
    >
      <Box flex="1 1 {sizes.56}">
        {before === null ? (
          'What was typed before is set aside.'
        ) : (
          <>
            <b>Not saved yet.</b> This was typed {moment(before.at)}.
            {before.pictured ? ' The picture of its page has to be chosen again.' : ''}
          </>
        )}
      </Box>
      {before === null ? (
        <Button look="plain" size="small" onClick={takeBack} data-take-back>
          Bring it back
        </Button>
      ) : (
        <Button look="plain" size="small" onClick={anew} data-anew>
          Start over
        </Button>
      )}
    </Flex>
  );

const CopiedFrom = ({ from }: { from: string }) => (
  <Box bg="violet.wash" borderRadius="sm" padding="3" marginBottom="4" lineHeight="snug" role="status" data-copied>
    <b>Copied from {from}.</b> Hold every figure against this model's own document. Which document that is, is not
    copied.
  </Box>
);

type SaveProps = {
  how: How;
  model: string;
  hangs: boolean;
  onHangs: (hangs: boolean) => void;
  saving: boolean;
  onSave: () => void;
  back: string;
  onCancel: () => void;
  children: ReactNode;
};

const Save = ({ how, model, hangs, onHangs, saving, onSave, back, onCancel, children }: SaveProps) => {
  const alone = useSignedIn().works_alone;
  return (
    <>
      {how !== 'next' && (
        <Checked mark="hangs" checked={hangs} onChange={onHangs}>
          Hang it on every machine {model === '' ? 'of this model' : `that is a ${model}`}
          {alone ? '' : ', once it is checked'}
        </Checked>
      )}
      <Flex direction="column" gap="2" marginTop="2">
        <Button look="vivid" size="tall" onClick={onSave} disabled={saving} data-primary>
          {saving ? 'Saving' : alone ? 'Save' : 'Save draft'}
        </Button>
        {children}
        <LinkButton to={back} onClick={onCancel} look="quiet" textDecoration="none" textAlign="center">
          Cancel
        </LinkButton>
      </Flex>
      <Box textStyle="small" marginTop="3">
        {alone
          ? 'Nobody checks it here: with nothing left empty it is used as it is saved, and says so wherever it judges.'
          : 'A second person holds a draft against the document before it is put in force.'}{' '}
        The machine's own manual wins over anything in here.
      </Box>
    </>
  );
};
