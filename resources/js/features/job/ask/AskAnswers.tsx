import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Answer, Item } from '../../../api/jobs';
import { Button, Field } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { Mark } from '../../../components/Marks';
import { torqueText } from '../../../lib/figures';
import { stageAsking } from '../asks';
import { useArmed } from '../useArmed';
import { useBench } from '../useBench';
import { AllTogether } from './AllTogether';
import { AskCard } from './AskCard';
import { HangTag } from './HangTag';
import { ReplaceCable } from './ReplaceCable';
import { Torques } from './Torques';

/** A question with its answers as buttons, each with the word that does the same on the bench line. */
export const AskAnswers = ({ item }: { item: Item }) => {
  const { state, send, viewed, job } = useBench();
  const [remarking, setRemarking] = useState<Answer | null>(null);
  const armed = useArmed(item.key);
  const stage = stageAsking(state, item.key);
  const torque = state.adjusters.find((one) => one.id === item.about)?.lock_torque_nm;
  const answer = (one: Answer) => {
    if (!armed) return;
    if (one.asks_remark) setRemarking(one);
    else send({ kind: one.kind, body: one.body });
  };
  // What was seen is asked without a lead, and what is not to be run neither.
  const choices =
    job.do_not_run.length > 0 ||
    item.answers[0]?.kind === 'outcome' ||
    item.answers.filter((one) => one.tone === 'right').length !== 1 ||
    item.answers.length > 3;
  return (
    <AskCard eyebrow={stage?.title ?? viewed} title={item.label}>
      {item.detail !== null && <Box lineHeight="snug">{item.detail}</Box>}
      {item.topic === 'lock' && torque != null && (
        <Box lineHeight="snug">Torque of the fitted part: {torqueText(torque)}.</Box>
      )}
      {item.topic === 'lock' && <Torques />}
      {item.caution !== null && <Caution>{item.caution}</Caution>}
      {item.failed && (
        <Flex gap="2" alignItems="center" fontWeight="bold">
          <Mark kind="wrong" />
          {item.said}. Put it right and answer again.
        </Flex>
      )}
      {remarking === null ? (
        <Flex direction="column" gap="2">
          {item.topic === 'fault' && item.about === 'wire' && <ReplaceCable look="vivid" />}
          {item.answers.map((one, n) => (
            <AnswerButton
              key={one.word}
              answer={one}
              first={n === 0 && one.tone === 'right' && !choices}
              size={n === 0 && !choices ? 'tall' : 'touch'}
              note={
                item.topic === 'condition' && one.tone !== 'right'
                  ? "flagged, not judged: another state than the figure's"
                  : null
              }
              onClick={() => answer(one)}
            />
          ))}
        </Flex>
      ) : (
        <Remark answer={remarking} onBack={() => setRemarking(null)} />
      )}
      {remarking === null && stage !== undefined && stage.together?.keys.includes(item.key) === true && (
        <AllTogether stage={stage} />
      )}
      {(item.failed || item.topic === 'fault') && <HangTag />}
    </AskCard>
  );
};

type AnswerButtonProps = {
  answer: Answer;
  first: boolean;
  size: 'tall' | 'touch';
  note: string | null;
  onClick: () => void;
};

const AnswerButton = ({ answer, first, size, note, onClick }: AnswerButtonProps) => (
  <Button
    look={first ? 'vivid' : 'plain'}
    size={size}
    onClick={onClick}
    justifyContent="space-between"
    data-answer={answer.word}
    data-primary={first ? true : undefined}
  >
    <Box as="span" textAlign="left">
      {answer.label}
      {note !== null && (
        <Box as="span" display="block" fontFamily="body" fontSize="sm" fontWeight="normal">
          {note}
        </Box>
      )}
    </Box>
    <Box
      as="span"
      fontFamily="body"
      fontSize="sm"
      fontWeight="normal"
      aria-hidden="true"
      display={{ base: 'none', lg: 'inline' }}
    >
      {answer.hint}
    </Box>
  </Button>
);

const placeholders: Readonly<Record<string, string>> = {
  step: 'half a turn',
  inspected: 'two strands broken at the barrel',
  part: 'TR-330-A, island stores',
};

const Remark = ({ answer, onBack }: { answer: Answer; onBack: () => void }) => {
  const { send } = useBench();
  const [remark, setRemark] = useState('');
  const log = () =>
    send({ kind: answer.kind, body: remark.trim() === '' ? answer.body : { ...answer.body, remark: remark.trim() } });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        log();
      }}
    >
      <Box asChild textStyle="eyebrow" marginBottom="1">
        <label htmlFor="remark">
          {answer.question ??
            (answer.kind === 'part' ? 'Its number, and where it came from' : `${answer.label}: what did you see?`)}
        </label>
      </Box>
      <Field
        id="remark"
        value={remark}
        onChange={(event) => setRemark(event.target.value)}
        maxLength={300}
        autoFocus
        placeholder={placeholders[answer.kind] ?? ''}
      />
      <Flex gap="2" marginTop="3">
        <Button type="submit" look="vivid" flex="1" data-primary>
          Log it
        </Button>
        <Button look="quiet" onClick={onBack}>
          Back
        </Button>
      </Flex>
    </form>
  );
};
