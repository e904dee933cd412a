import { Box, Flex } from '@chakra-ui/react';
import type { Answer, Stage } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { Mark } from '../../../components/Marks';
import { VerdictChip } from '../../../components/VerdictChip';
import { lengthUnit, withUncertainty } from '../../../lib/figures';
import { inSentence } from '../../../lib/inSentence';
import { useSignedIn } from '../../../lib/signedIn';
import { statesSaidWith, withAllOk } from '../asks';
import { useBench } from '../useBench';
import { HoldButton, TogetherLines } from './AllTogether';
import { AskCard } from './AskCard';

/** What a check is, and the way from it into the whole job; once it became one, why. */
export const CheckStrip = () => {
  const { state, mayWrite, send } = useBench();
  const { check } = state;
  if (check === null || state.closed !== null) return null;
  return (
    <Flex
      gap="3"
      alignItems="center"
      bg={check.on ? 'well' : 'amber.wash'}
      borderRadius="md"
      paddingInline="3"
      paddingBlock="2"
      data-check-strip={check.on ? 'on' : 'over'}
      role="status"
    >
      <Mark kind={check.on ? 'left' : 'found'} size="text" />
      <Box flex="1" fontSize="sm" lineHeight="snug">
        {check.on ? (
          <>
            <b>A check:</b> play only.
          </>
        ) : (
          <b>{check.over}.</b>
        )}
      </Box>
      {check.on && mayWrite && (
        <Button
          look="plain"
          size="small"
          onClick={() => send({ kind: 'policy', body: { whole: true } })}
          data-whole-job
        >
          Whole job
        </Button>
      )}
    </Flex>
  );
};

/** Everything that makes it safe, named, and the state it is in: held once, for all of it. */
export const CheckSafe = ({ stage, together }: { stage: Stage; together: NonNullable<Stage['together']> }) => {
  const { state, send } = useBench();
  const fitting = statesSaidWith(state);
  const hold = (answer: Answer | null) => {
    send({ kind: 'all_confirmed', body: { keys: together.keys } });
    if (answer !== null) send({ kind: answer.kind, body: answer.body });
  };
  return (
    <AskCard eyebrow={stage.title} title="All of it, before you touch it">
      <TogetherLines stage={stage} keys={together.keys} fontWeight="bold" />
      <Box>
        {fitting.map((one) => (
          <HoldButton
            key={one.word}
            vivid
            label={`Hold: done, ${inSentence(one.label)}`}
            hint={withAllOk(one)}
            onHeld={() => hold(one)}
          />
        ))}
        <HoldButton
          vivid={fitting.length === 0}
          label={fitting.length === 0 ? 'Hold: all of it is done' : 'Hold: done, in another state'}
          hint={together.word}
          onHeld={() => hold(null)}
        />
      </Box>
    </AskCard>
  );
};

/** The signature of a check: what was read, and what nobody looked at. */
export const SignCheck = () => {
  const { state, send } = useBench();
  const person = useSignedIn();
  const untried = state.gates.filter((gate) => gate.status === 'unknown');
  return (
    <AskCard eyebrow="Sign the check" title="Play is inside">
      <Flex gap="3" alignItems="center" flexWrap="wrap">
        <Box textStyle="figure" fontSize="3xl">
          {state.now.mm === null ? '–' : `${withUncertainty(state.now.mm, state.now.expanded_mm)} ${lengthUnit()}`}
        </Box>
        <VerdictChip judged={state.now} />
      </Flex>
      <Box lineHeight="snug">
        It goes on the sheet as <b>checked</b>, not as fit for use
        {untried.length > 0 && `. Not tried: ${untried.map((gate) => gate.title.toLowerCase()).join(', ')}`}.
      </Box>
      {state.check !== null && state.check.says.length > 0 && (
        <Caution compact>
          Before you sign, where anything was undone: {state.check.says.map((one) => one.toLowerCase()).join('; ')}.
        </Caution>
      )}
      {person.may_sign_off ? (
        <Button
          look="vivid"
          size="tall"
          onClick={() => send({ kind: 'closed', body: { outcome: 'checked' } })}
          data-primary
          data-close="checked"
        >
          Sign as checked
        </Button>
      ) : (
        <Box fontWeight="bold">
          {person.name} signs as {person.role}. Ask a technician or a lead to sign it.
        </Box>
      )}
    </AskCard>
  );
};
