import { Box } from '@chakra-ui/react';
import { Button, LinkButton } from '../../../components/Buttons';
import { lengthText, lengthUnit } from '../../../lib/figures';
import { useSignedIn } from '../../../lib/signedIn';
import { day, moment } from '../../../lib/time';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';

const outcomes = {
  fit: 'Fit for use',
  by_choice: 'Left outside by choice',
  tagged: 'Do not run',
  checked: 'Checked, play inside',
} as const;

export const ClosedCard = () => {
  const { job, state } = useBench();
  const closed = state.closed;
  if (closed === null) return null;
  return (
    <AskCard
      eyebrow={`Closed ${moment(closed.at)}`}
      title={outcomes[closed.outcome]}
      stop={closed.outcome === 'tagged'}
    >
      <Box lineHeight="snug">
        Signed by {closed.by}.{state.now.mm !== null && ` Left at ${lengthText(state.now.mm)} ${lengthUnit()}.`}
        {(job.control.due_on ?? closed.next_check) !== null &&
          ` Next check ${day(job.control.due_on ?? closed.next_check ?? '')}${job.control.due_why === null ? '' : `, ${job.control.due_why}`}.`}
      </Box>
      {state.tag !== null && <Box lineHeight="snug">{state.tag.reason}</Box>}
      <LinkButton
        to={`/machines/${encodeURIComponent(job.machine.tag)}#${job.control.key}`}
        look="vivid"
        textDecoration="none"
        data-primary
      >
        To {job.machine.tag}
      </LinkButton>
      <LinkButton
        to={`/machines/${encodeURIComponent(job.machine.tag)}/service`}
        look="quiet"
        textDecoration="none"
        data-rest
      >
        Its other controls
      </LinkButton>
      <LinkButton to="/" look="quiet" textDecoration="none">
        To the Bench
      </LinkButton>
    </AskCard>
  );
};

export const JoinCard = () => {
  const { state, send } = useBench();
  const person = useSignedIn();
  const others = state.people.map((one) => one.name).join(' and ');
  return (
    <AskCard eyebrow={`${others} on this job`} title="Join this job">
      <Box lineHeight="snug">Then the log shows who did what. {person.name} goes into it by name and time.</Box>
      <Button look="vivid" size="tall" onClick={() => send({ kind: 'joined', body: {} })} data-primary>
        Join
      </Button>
    </AskCard>
  );
};

export const LookOnlyCard = () => (
  <AskCard eyebrow="To look at" title="You may read along">
    <Box lineHeight="snug">Viewers see every job and log in none. Ask a technician to do the work.</Box>
  </AskCard>
);

export const TaggedCard = () => {
  const { state, send } = useBench();
  const person = useSignedIn();
  return (
    <AskCard eyebrow="Tagged" title="Do not run" stop>
      <Box lineHeight="snug">{state.tag?.reason}</Box>
      <Box textStyle="small">
        Hang the red tag on the machine, key out. A new job that passes every gate, signed by a lead, lifts it.
      </Box>
      {person.may_sign_off ? (
        <Button
          look="vivid"
          size="tall"
          onClick={() => send({ kind: 'closed', body: { outcome: 'tagged' } })}
          data-primary
          data-close="tagged"
        >
          Close the job as tagged
        </Button>
      ) : (
        <Box fontWeight="bold">Ask a technician or a lead to close it.</Box>
      )}
    </AskCard>
  );
};
