import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useState } from 'react';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { Problem } from '../../api/client';
import { complain, complaintQuery, type Said, type Symptoms, symptomsQuery } from '../../api/complaints';
import { keys } from '../../api/keys';
import { Area, Button, FieldLabel, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { MachineTag } from '../../components/MachineTag';
import { MayStop } from '../../components/MayStop';
import { PickOne } from '../../components/PickOne';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { inSentence } from '../../lib/inSentence';
import { useSignedIn } from '../../lib/signedIn';
import { uuid } from '../../lib/uuid';
import { keepAnswer } from '../../offline/register';
import { arePictured, SymptomPicture } from './SymptomPicture';

const answers = [
  { key: 'yes', label: 'Yes' },
  { key: 'no', label: 'No' },
  { key: 'not_tried', label: 'Not tried' },
] as const;

/** What feels wrong about a control, chosen in the words people use. */
export default function ComplainScreen() {
  const { tag = '', control = '' } = useParams();
  const [found] = useSearchParams();
  const [words, setWords] = useState(found.get('words') ?? '');
  const asked = useDeferredValue(words.trim());
  const { data, error, refetch } = useQuery(symptomsQuery(tag, control, asked));
  const missing = error instanceof Problem && error.status === 404;
  if (data?.open != null) return <Navigate to={`/causes/${data.open}`} replace />;
  return (
    <Frame>
      {data !== undefined ? (
        <Choose start={data} words={words} onWords={setWords} />
      ) : error !== null ? (
        <Failure
          error={missing ? new Problem(404, 'No such control is on this machine.') : error}
          retry={() => refetch()}
        />
      ) : (
        <Loading what="its symptoms" />
      )}
    </Frame>
  );
}

type ChooseProps = { start: Symptoms; words: string; onWords: (words: string) => void };

const Choose = ({ start, words, onWords }: ChooseProps) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [id] = useState(uuid);
  const [said, setSaid] = useState<Said>({});
  // What somebody's words were understood as is answered yes, unless they answered it themselves.
  const understood = start.understood.join(' ');
  useEffect(() => {
    if (understood === '') return;
    setSaid((now) => ({ ...Object.fromEntries(understood.split(' ').map((key) => [key, 'yes' as const])), ...now }));
  }, [understood]);
  const send = useMutation({
    mutationFn: () =>
      complain(start.tag, start.control, {
        id,
        symptoms: said,
        ...(words.trim() === '' ? {} : { words: words.trim() }),
      }),
    onSuccess: (complaint) => {
      client.setQueryData(complaintQuery(complaint.id, false).queryKey, complaint);
      void keepAnswer(`/api/complaints/${complaint.id}`, complaint);
      for (const queryKey of [keys.complaints, keys.bench, keys.machine(start.tag)])
        void client.invalidateQueries({ queryKey });
      void navigate(`/causes/${complaint.id}`, { replace: true });
    },
  });
  const wrong = Object.values(said).filter((one) => one === 'yes').length;
  return (
    <>
      <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
        <MachineTag tag={start.tag} />
        <Box>
          <Title tag={start.tag}>What feels wrong?</Title>
          <Box color="soft">
            {start.control_name}, {start.machine}
          </Box>
        </Box>
      </Flex>
      <Grid
        templateColumns={{ base: '1fr', lg: '1fr {sizes.82}' }}
        templateRows={{ lg: 'auto auto 1fr' }}
        gap="4"
        alignItems="start"
      >
        <Sheet padding="4" aria-label="In their own words" gridColumn={{ lg: '2' }}>
          <OwnWords start={start} words={words} onWords={onWords} />
          <Perhaps start={start} said={said} onSay={(key) => setSaid((now) => ({ ...now, [key]: 'yes' }))} />
        </Sheet>
        <Sheet padding="4" aria-label="Symptoms" gridColumn={{ lg: '1' }} gridRow={{ lg: '1 / span 3' }}>
          <SymptomList
            start={start}
            said={said}
            onSay={(key, answer) => setSaid((now) => ({ ...now, [key]: answer }))}
          />
        </Sheet>
        <Flex
          direction="column"
          gap="2"
          position="sticky"
          bottom={{ base: '0', lg: 'auto' }}
          top={{ lg: '4' }}
          bg="page"
          paddingBlock={{ base: '2', lg: '0' }}
          gridColumn={{ lg: '2' }}
        >
          <MayStop meant={stopping(start, said)} />
          {send.isError && <Refusal error={send.error} />}
          <Button
            look="vivid"
            size="tall"
            disabled={wrong === 0 || send.isPending || !person.may_log}
            onClick={() => send.mutate()}
            data-primary
          >
            {send.isPending ? 'One moment' : wrong === 0 ? 'Say yes to what is wrong' : 'Find the cause'}
          </Button>
          <LinkButton
            to={`/machines/${encodeURIComponent(start.tag)}`}
            look="quiet"
            textDecoration="none"
            textAlign="center"
            display={{ base: 'none', lg: 'inline-flex' }}
          >
            Cancel
          </LinkButton>
        </Flex>
      </Grid>
    </>
  );
};

/** Where nothing is understood, what is likeliest is asked: one tap, rather than a walk down the list. */
const Perhaps = ({ start, said, onSay }: { start: Symptoms; said: Said; onSay: (key: string) => void }) => {
  const asked = start.perhaps.flatMap((key) =>
    start.symptoms.filter((one) => one.key === key && said[key] === undefined),
  );
  if (asked.length === 0) return null;
  return (
    <Box marginTop="3" role="group" aria-labelledby="perhaps">
      <Box id="perhaps" textStyle="small" marginBottom="1.5">
        Does it mean one of these?
      </Box>
      <Flex gap="2" flexWrap="wrap">
        {asked.map((one) => (
          <Button key={one.key} size="small" look="plain" onClick={() => onSay(one.key)} data-perhaps={one.key}>
            {one.words}
          </Button>
        ))}
      </Flex>
    </Box>
  );
};

const OwnWords = ({ start, words, onWords }: ChooseProps) => (
  <>
    <FieldLabel htmlFor="words">In the words of whoever noticed it</FieldLabel>
    <Area
      id="words"
      name="words"
      rows={2}
      maxLength={500}
      width="100%"
      value={words}
      onChange={(event) => onWords(event.target.value)}
    />
    <Box textStyle="small" marginTop="1" aria-live="polite" data-understood>
      {understanding(start, words)}
    </Box>
  </>
);

function understanding(start: Symptoms, words: string): string {
  const together = (some: Symptoms['symptoms']) => some.map((one) => inSentence(one.words)).join('; ');
  if (words.trim() === '') return `Such as: ${together(start.symptoms.slice(0, 2))}.`;
  if (start.understood.length === 0) return 'Not understood as one of these. Choose it on the list.';
  return `Understood as: ${together(start.symptoms.filter((one) => start.understood.includes(one.key)))}.`;
}

/** By what nobody runs it: what is answered yes, and what the words tell beside. */
function stopping(start: Symptoms, said: Said): string[] {
  const felt = start.symptoms.filter((one) => one.stops && said[one.key] === 'yes').map((one) => one.words);
  const listed = start.symptoms.map((one) => one.words);
  return [...felt, ...start.may_stop.filter((one) => !listed.includes(one))];
}

type ListProps = { start: Symptoms; said: Said; onSay: (key: string, answer: Said[string]) => void };

/** What nobody answers was not tried. */
const SymptomList = ({ start, said, onSay }: ListProps) => {
  const pictured = arePictured(
    start.symptoms.map((one) => one.key),
    start.hand,
  );
  return start.symptoms.map((one) => (
    <Flex
      key={one.key}
      alignItems="center"
      columnGap="3"
      rowGap="1"
      flexWrap="wrap"
      paddingBlock="2"
      borderTopWidth="thin"
      borderColor="line"
      _first={{ borderTopWidth: '0' }}
      data-symptom={one.key}
    >
      {pictured && (
        <Box width="18" flexShrink="0" _empty={{ display: { base: 'none', md: 'block' } }}>
          <SymptomPicture symptom={one.key} hand={start.hand} />
        </Box>
      )}
      <Box flex="1 1 {sizes.36}" fontWeight={said[one.key] === 'yes' ? 'bold' : 'medium'}>
        {one.words}
      </Box>
      <PickOne
        says={one.words}
        mark="says"
        options={answers}
        value={said[one.key] ?? null}
        onPick={(key) => onSay(one.key, key as Said[string])}
      />
    </Flex>
  ));
};
