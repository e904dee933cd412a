import { Box } from '@chakra-ui/react';
import { Button } from '../../../components/Buttons';
import { useSignedIn } from '../../../lib/signedIn';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';

/** A tag that hung when the job opened: lifted by a lead once every gate has passed. */
export const LiftTag = () => {
  const { state, send } = useBench();
  const person = useSignedIn();
  const open = state.gates.filter((gate) => gate.status !== 'passed');
  const reason = `Every gate passed: ${state.gates.map((gate) => gate.title.toLowerCase()).join(', ')}.`;
  return (
    <AskCard
      eyebrow="A tag hangs on it"
      title={open.length === 0 ? 'Lift the tag' : 'Do not run'}
      stop={open.length > 0}
    >
      <Box lineHeight="snug">{state.tag?.reason}</Box>
      {open.map((gate) => (
        <Box key={gate.key} lineHeight="snug">
          {gate.sentence}
        </Box>
      ))}
      {open.length === 0 &&
        (person.may_lift_tag ? (
          <Button look="vivid" size="tall" onClick={() => send({ kind: 'untag', body: { reason } })} data-primary>
            Lift the tag
          </Button>
        ) : (
          <Box fontWeight="bold">Every gate has passed. Ask a lead to join this job and lift the tag.</Box>
        ))}
    </AskCard>
  );
};
