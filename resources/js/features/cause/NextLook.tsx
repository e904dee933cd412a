import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Complaint } from '../../api/complaints';
import { planControl } from '../../api/due';
import { keys } from '../../api/keys';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { Caution } from '../../components/Caution';
import { Refusal } from '../../components/Refusal';
import { capital } from '../../lib/capital';
import { useStartJob } from '../machines/useStartJob';
import type { Looking } from './useLooking';

type Props = { complaint: Complaint; looking: Looking };
type Next = Complaint['diagnosis']['next'];

const titles = {
  ask: 'Ask',
  check: 'Look at this next',
  cure: 'Put this right and try',
  bring_in: 'It has to come in',
  unexplained: 'Nothing listed explains it',
} as const;

/** The one thing to do now, why, and its answers as buttons. */
export const NextLook = ({ complaint, looking }: Props) => {
  const { next } = complaint.diagnosis;
  return (
    <Sheet padding="4" borderColor="ink" aria-label={titles[next.kind]} data-next={next.kind} data-about={next.key}>
      <Box textStyle="eyebrow">{titles[next.kind]}</Box>
      <Heading as="h2" fontSize="2xl" marginTop="1">
        {next.label}
      </Heading>
      <Box fontSize="lg" lineHeight="snug" marginTop="1">
        {whatToDo(next)}
      </Box>
      {next.kind !== 'ask' && <Facts next={next} />}
      {next.caution !== null && (
        <Box marginTop="3">
          <Caution>{next.caution}</Caution>
        </Box>
      )}
      {next.steps.length > 0 && <Steps steps={next.steps} />}
      {next.kind === 'check' || next.kind === 'ask' ? (
        <Answers next={next} looking={looking} />
      ) : next.kind === 'bring_in' ? (
        <BringIn complaint={complaint} looking={looking} />
      ) : (
        <Ends complaint={complaint} looking={looking} />
      )}
      <Box textStyle="small" marginTop="3">
        {next.why}
      </Box>
    </Sheet>
  );
};

/** The label stands above already. */
function whatToDo(next: Next): string {
  if (next.kind === 'ask') return 'As far as whoever noticed it knows.';
  const { sentence, label } = next;
  return sentence.startsWith(`${label}: `) ? capital(sentence.slice(label.length + 2)) : sentence;
}

const Facts = ({ next }: { next: Next }) => {
  const facts = [
    `${next.minutes} min`,
    ...(next.cover === null ? [] : [`${next.cover} off`]),
    ...(next.tools === null ? [] : [next.tools]),
  ];
  return (
    <Box color="soft" marginTop="1">
      {facts.join(' · ')}
    </Box>
  );
};

/** How it is put right, in its order. */
const Steps = ({ steps }: { steps: readonly string[] }) => (
  <chakra.ol listStyleType="none" marginTop="3" aria-label="How it is put right" data-steps>
    {steps.map((one, place) => (
      <chakra.li
        key={one}
        display="flex"
        gap="3"
        paddingBlock="2"
        borderTopWidth="thin"
        borderColor="line"
        lineHeight="snug"
      >
        <Box fontWeight="bold" fontVariantNumeric="tabular-nums" minWidth="5" color="soft" aria-hidden="true">
          {place + 1}
        </Box>
        <Box fontSize="lg">{one}</Box>
      </chakra.li>
    ))}
  </chakra.ol>
);

const Answers = ({ next, looking }: { next: Next; looking: Looking }) => (
  <>
    <Grid templateColumns={{ base: '1fr', md: 'repeat(auto-fit, minmax({sizes.56}, 1fr))' }} gap="2" marginTop="4">
      {next.answers.map((one) => (
        <Box key={one.key}>
          <Button
            look="plain"
            size="tall"
            width="100%"
            disabled={!looking.may}
            onClick={() => looking.answer(next.kind === 'ask' ? 'symptom' : 'check', next.key, one.key)}
            data-answer={one.key}
          >
            {one.label}
          </Button>
          <Box textStyle="small" marginTop="1" paddingInline="1">
            {one.means}
          </Box>
        </Box>
      ))}
    </Grid>
    <Button
      look="quiet"
      marginTop="3"
      disabled={!looking.may}
      onClick={() => looking.answer('skip', next.key)}
      data-skip
    >
      {next.kind === 'ask' ? 'They do not know' : 'Cannot look now'}
    </Button>
  </>
);

/** From afar: a place in the day for it. */
const BringIn = ({ complaint, looking }: Props) => {
  const client = useQueryClient();
  const plan = useMutation({
    mutationFn: () => planControl(complaint.tag, complaint.control, 'today'),
    onSuccess: () => {
      for (const queryKey of [keys.bench, keys.due, keys.machine(complaint.tag)])
        void client.invalidateQueries({ queryKey });
    },
  });
  return (
    <Box marginTop="4">
      <Button
        look="vivid"
        size="tall"
        width="100%"
        disabled={!looking.may || plan.isPending || plan.isSuccess}
        onClick={() => plan.mutate()}
        data-plan-today
      >
        {plan.isSuccess ? 'It is planned for today' : 'Plan it for today'}
      </Button>
      {plan.isError && <Refusal error={plan.error} />}
    </Box>
  );
};

/** After a cure it is gone or it is not; where nothing explains it, that is said. */
const Ends = ({ complaint, looking }: Props) => {
  const { next } = complaint.diagnosis;
  const start = useStartJob(complaint.tag, complaint.control);
  return (
    <Flex direction="column" gap="2" marginTop="4">
      {complaint.job === null ? (
        <Button
          look="vivid"
          size="tall"
          disabled={!looking.may || start.isPending}
          onClick={() => start.mutate()}
          data-start-job
        >
          {start.isPending ? 'Starting' : `Start a job on the ${complaint.control_name.toLowerCase()}`}
        </Button>
      ) : (
        <LinkButton to={`/jobs/${complaint.job}`} look="vivid" size="tall" textDecoration="none">
          Open its job
        </LinkButton>
      )}
      {complaint.unproved !== null ? (
        <>
          <Box lineHeight="snug" data-unproved>
            {complaint.unproved}
          </Box>
          {next.kind === 'cure' && (
            <Button disabled={!looking.may} onClick={() => looking.answer('tried', next.key)} data-still>
              Put right, and still there
            </Button>
          )}
        </>
      ) : next.kind === 'cure' ? (
        <Grid templateColumns="1fr 1fr" gap="2">
          <Button disabled={!looking.may} onClick={() => looking.close(next.key)} data-gone>
            It is gone: that was it
          </Button>
          <Button disabled={!looking.may} onClick={() => looking.answer('tried', next.key)} data-still>
            Put right, and still there
          </Button>
        </Grid>
      ) : (
        <Button disabled={!looking.may} onClick={() => looking.close(next.key)} data-gone>
          Close it: it was something else
        </Button>
      )}
      {start.isError && <Refusal error={start.error} />}
    </Flex>
  );
};
