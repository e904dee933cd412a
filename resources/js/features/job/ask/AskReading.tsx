import { Box, Flex } from '@chakra-ui/react';
import type { Item } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { VerdictChip } from '../../../components/VerdictChip';
import { isToldByThePlan } from '../asks';
import { HowToRead } from '../drawing/HowToRead';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';
import { HangTag } from './HangTag';

/** A reading is due: where, how, and what it says so far. */
export const AskReading = ({ item }: { item: Item }) => {
  const { state, pose, view, send, after, goOn } = useBench();
  const stage = state.stages.find((one) => one.items.some((other) => other.key === item.key));
  const here = state.poses.find((one) => one.pose === pose);
  const current = here ?? state.now;
  const judged = item.key === 'reading:found' ? state.found : current;
  // The plan may speak of another pose than this one.
  const isTold = isToldByThePlan(item, state) && state.next.sentence.toLowerCase().includes(here?.label ?? '');
  const advice = isTold ? state.next.sentence : judged.advice;
  return (
    <AskCard eyebrow={stage?.title ?? ''} title={item.label}>
      <HowToReadHere />
      {judged.count > 0 && (
        <Box>
          <VerdictChip judged={judged} />
          {advice !== null && (
            <Box marginTop="2" fontWeight="bold" lineHeight="snug" data-advice>
              {advice}
            </Box>
          )}
        </Box>
      )}
      {after !== null && (
        <Button look="vivid" size="tall" whiteSpace="normal" lineHeight="short" onClick={goOn} data-primary data-go-on>
          Next: {after.label}
        </Button>
      )}
      {item.answers.map((answer) => (
        <Button
          key={answer.word}
          look="dark"
          onClick={() => send({ kind: answer.kind, body: answer.body })}
          data-answer={answer.word}
        >
          {answer.label}
        </Button>
      ))}
      {item.failed && item.about !== null && (
        <Box lineHeight="snug">
          Outside with these bars. Move it, and read every pose again.{' '}
          <Box asChild textDecoration="underline" cursor="pointer" minHeight="touch">
            <button type="button" onClick={() => view('set')}>
              Back to Set
            </button>
          </Box>
        </Box>
      )}
      {((item.failed && judged.verdict === 'taut') || (isTold && state.next.kind === 'decide')) && <HangTag />}
    </AskCard>
  );
};

/** The drawing of the place, and what to do there. */
export const HowToReadHere = () => {
  const { point } = useBench();
  return point === null ? null : (
    <Flex gap="3">
      <HowToRead point={point.key} />
      <Box lineHeight="snug" fontSize="sm">
        {point.how_to_read}
      </Box>
    </Flex>
  );
};
