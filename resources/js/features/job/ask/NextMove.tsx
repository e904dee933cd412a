import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Adjuster, Option } from '../../../api/jobs';
import { Button, Choice } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { VerdictChip } from '../../../components/VerdictChip';
import { mm } from '../../../lib/figures';
import { HowToRead } from '../drawing/HowToRead';
import { useArmed } from '../useArmed';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';
import { ByChoice } from './ByChoice';
import { MoveDialog } from './MoveDialog';
import { TurnGlyph } from './TurnGlyph';

/** The next move as a person would say it: which adjuster, which way, how far, and what to expect. */
export const NextMove = () => {
  const { state, option, adjuster } = useBench();
  const { next } = state;
  if (next.kind === 'read') return <ReadIt />;
  if (next.kind === 'decide' && state.now.advice !== null) return <Decide />;
  if (adjuster === null || option === null || option.turns === null) return <NoMove />;
  return <Move adjuster={adjuster} option={option} />;
};

const Move = ({ adjuster, option }: { adjuster: Adjuster; option: Option }) => {
  const { state, send, sendLine, kept } = useBench();
  const [differently, setDifferently] = useState(false);
  const armed = useArmed(`${state.head} ${adjuster.id}`);
  const waiting = kept.some((entry) => entry.state === 'waiting');
  const covered = adjuster.cover !== null && !adjuster.cover_off;
  const caution = state.stages.find((stage) => stage.key === 'set')?.cautions[0];
  return (
    <AskCard eyebrow={`Next move · ${adjuster.name}`} title="" aside={null}>
      <Flex justifyContent="space-between" gap="3" marginTop="-4">
        <Box>
          <Box fontFamily="heading" fontWeight="bold" fontSize="4xl" lineHeight="0.98" textTransform="uppercase" data-direction>
            {option.direction}
          </Box>
          <Box fontFamily="heading" fontWeight="bold" fontSize="3xl" lineHeight="1" data-steps>
            {option.say}
          </Box>
        </Box>
        <TurnGlyph kind={adjuster.kind} option={option} />
      </Flex>
      <Box lineHeight="snug" fontSize="md">
        <Expectation option={option} />
      </Box>
      {covered ? (
        <Button look="vivid" size="tall" onClick={() => send({ kind: 'cover', body: { adjuster: adjuster.id, off: true } })} disabled={!armed || waiting} data-primary>
          {adjuster.cover} is off
        </Button>
      ) : (
        <Button look="vivid" size="tall" onClick={() => sendLine('done')} disabled={!armed || waiting} data-primary data-done>
          {waiting ? 'Kept, not judged yet' : 'Done, now read it'}
        </Button>
      )}
      <Button look="plain" onClick={() => setDifferently(true)}>
        I moved it differently
      </Button>
      <MoveDialog open={differently} onClose={() => setDifferently(false)} />
      {caution !== undefined && <Caution compact>{caution}</Caution>}
      <AimFor />
      <ByChoice />
    </AskCard>
  );
};

const Expectation = ({ option }: { option: Option }) => {
  const { state } = useBench();
  if (option.expected_mm === null) return <>{option.sentence}</>;
  const thread = option.thread_left_mm === null ? 'Thread left is not known.' : `Then ${mm(option.thread_left_mm)} mm of thread left that way.`;
  return (
    <>
      Expect <b>{mm(option.expected_mm)} mm</b>
      {option.low_mm !== null && option.high_mm !== null && ` (${mm(option.low_mm)} to ${mm(option.high_mm)})`}, aiming for {state.spec.policy_label}. {thread}
      {!option.healthy_after && ' That leaves it past its healthy zone.'} Pull fully three times before you read.
    </>
  );
};

const ReadIt = () => {
  const { state } = useBench();
  return (
    <AskCard eyebrow={state.spec.point_label} title={state.now.sentence}>
      <Flex gap="3">
        <HowToRead point={state.spec.point} />
        <Box lineHeight="snug" fontSize="sm">
          {state.spec.how_to_read}
        </Box>
      </Flex>
    </AskCard>
  );
};

const Decide = () => {
  const { state } = useBench();
  const [differently, setDifferently] = useState(false);
  return (
    <AskCard eyebrow="Near the edge" title={state.now.advice ?? ''}>
      <Box>
        <VerdictChip judged={state.now} />
      </Box>
      <Button look="plain" onClick={() => setDifferently(true)}>
        Move it instead
      </Button>
      <MoveDialog open={differently} onClose={() => setDifferently(false)} />
      <ByChoice />
    </AskCard>
  );
};

const NoMove = () => {
  const { state, option, adjuster } = useBench();
  const [differently, setDifferently] = useState(false);
  const another = state.next.kind === 'move' && option?.turns == null;
  return (
    <AskCard eyebrow={another ? (adjuster?.name ?? '') : 'Set'} title={another ? 'Choose another adjuster' : 'No move reaches the band'}>
      <Box lineHeight="snug">{another ? option?.sentence : state.next.sentence}</Box>
      <Button look="plain" onClick={() => setDifferently(true)}>
        Log a move
      </Button>
      <MoveDialog open={differently} onClose={() => setDifferently(false)} />
      <ByChoice />
    </AskCard>
  );
};

const aims = [
  { key: 'crisp', name: 'crisp: low in the band' },
  { key: 'middle', name: 'middle of the band' },
  { key: 'loose', name: 'loose: high in the band' },
] as const;

const AimFor = () => {
  const { state, send } = useBench();
  return (
    <Flex asChild alignItems="center" gap="2" fontSize="sm">
      <label>
        Aim
        <Choice value={state.spec.policy} onChange={(event) => send({ kind: 'policy', body: { policy: event.target.value } })} flex="1" fontSize="sm">
          {aims.map((aim) => (
            <option key={aim.key} value={aim.key}>
              {aim.name}
            </option>
          ))}
        </Choice>
      </label>
    </Flex>
  );
};
