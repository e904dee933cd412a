import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Adjuster, BenchState, Item, Option } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { VerdictChip } from '../../../components/VerdictChip';
import { capital } from '../../../lib/capital';
import { lengthText, lengthUnit } from '../../../lib/figures';
import { isLookedFor, isMove, isSetHere, isSetting, isTurnOffered } from '../asks';
import { useArmed } from '../useArmed';
import { useBench, useOutboxStatus } from '../useBench';
import { AskCard } from './AskCard';
import { HowToReadHere } from './AskReading';
import { ByChoice } from './ByChoice';
import { Cures } from './Cures';
import { FinerInstrument } from './FinerInstrument';
import { Guided } from './Guided';
import { HangTag } from './HangTag';
import { MeasureHand } from './MeasureHand';
import { MeasureShort } from './MeasureShort';
import { MoveDialog } from './MoveDialog';
import { NothingFound } from './NothingFound';
import { Plan } from './Plan';
import { ReplaceCable } from './ReplaceCable';
import { RidersWish } from './RidersWish';
import { SetHow } from './SetHow';
import { TurnGlyph } from './TurnGlyph';

/** The next move as a person would say it: which adjuster, which way, how far, and what to expect. */
export const NextMove = () => {
  const { state, option, adjuster } = useBench();
  const { next } = state;
  if (adjuster !== null && adjuster.guide.length > 0 && adjuster.guide_done === 0)
    return <Guided adjuster={adjuster} />;
  if (next.kind === 'read') return <ReadIt />;
  if (next.kind === 'decide') return <Decide />;
  if (adjuster === null || option === null || !isMove(state, adjuster, option)) return <NoMove />;
  return <Move adjuster={adjuster} option={option} />;
};

const Move = ({ adjuster, option }: { adjuster: Adjuster; option: Option }) => {
  const { state, item, send, sendLine } = useBench();
  // Inside its band and still to be moved: what was proved says why.
  const finer = item?.kind === 'in_band' && item.said !== null && state.now.verdict === 'inside';
  const { kept } = useOutboxStatus();
  const [differently, setDifferently] = useState(false);
  const armed = useArmed(`${state.head} ${adjuster.id}`);
  const waiting = kept.some((entry) => entry.state === 'waiting');
  const covered = adjuster.cover !== null && !adjuster.cover_off;
  const more = state.next.recommended === adjuster.id && (state.next.plan?.steps.length ?? 1) > 1;
  return (
    <AskCard
      eyebrow={`Next move · ${adjuster.name}${stepOf(state.next.plan)}`}
      title={
        <>
          <Box
            as="span"
            display="block"
            fontSize={(option.direction ?? '').length > 6 ? '2xl' : '4xl'}
            lineHeight="0.98"
            textTransform="uppercase"
            data-direction
          >
            {option.direction}
          </Box>{' '}
          <Box as="span" display="block" lineHeight="1.02" data-steps>
            {option.say}
          </Box>
        </>
      }
      aside={<TurnGlyph option={option} />}
    >
      {finer && (
        <Box lineHeight="snug" fontWeight="bold" data-because>
          {item.said}
        </Box>
      )}
      {finer && <MeasureShort />}
      <OfThePose />
      <Box lineHeight="snug" fontSize="md">
        <Expectation option={option} />
      </Box>
      {adjuster.caution !== null && <Caution compact>{adjuster.caution}</Caution>}
      <Flex gap="2">
        <Button
          look="vivid"
          size="tall"
          fontSize={covered ? 'md' : 'lg'}
          paddingInline="2"
          whiteSpace={covered ? 'normal' : 'nowrap'}
          lineHeight="short"
          flex="1"
          onClick={() =>
            covered ? send({ kind: 'cover', body: { adjuster: adjuster.id, off: true } }) : sendLine('done')
          }
          disabled={!armed || waiting}
          data-primary
          data-done={covered ? undefined : true}
        >
          {covered
            ? `The ${adjuster.cover} is off`
            : waiting
              ? 'Kept, not judged yet'
              : more
                ? 'Done'
                : 'Done, now read it'}
        </Button>
        <Button look="plain" paddingInline="2" onClick={() => setDifferently(true)} aria-label="I moved it differently">
          Differently
        </Button>
      </Flex>
      <Others />
      <SetCautions />
      <Plan />
      {state.gates.some((gate) => gate.status === 'failed') && <HangTag />}
      <MoveDialog open={differently} onClose={() => setDifferently(false)} />
    </AskCard>
  );
};

/** What else answers the item, beside turning: an adjuster outside its zone may be left for the next service. */
const Others = () => {
  const { state, item, send } = useBench();
  const armed = useArmed(`${state.head} others`);
  if (item?.topic !== 'home') return null;
  return item.answers.map((one) => (
    <Button
      key={one.word}
      look="plain"
      onClick={() => armed && send({ kind: one.kind, body: one.body })}
      data-answer={one.word}
    >
      {one.label}
    </Button>
  ));
};

/** The pose that asks for it, where it is not the one that play is set by. */
const OfThePose = () => {
  const { state, item } = useBench();
  if (item === null || !isSetHere(item, state)) return null;
  const read = state.poses.find((one) => one.pose === item.about);
  if (read === undefined || read.mm === null) return null;
  return (
    <Box lineHeight="snug" data-because>
      <b>{`${capital(read.label)}: ${lengthText(read.mm)} ${lengthUnit()}. ${read.sentence}. `}</b>
      {state.next.kind === 'move' && 'Every pose is read again after it.'}
    </Box>
  );
};

/** Which step of its plan a move is, where the plan has several. */
function stepOf(plan: BenchState['next']['plan']): string {
  const all = plan === null ? 1 : plan.done + plan.steps.length;
  return plan === null || all === 1 ? '' : ` · ${plan.done + 1} of ${all}`;
}

/** What whoever turns it should mind, at the turn itself. */
const SetCautions = () => {
  const { state } = useBench();
  return state.stages
    .find((one) => one.key === 'set')
    ?.cautions.map((caution) => (
      <Caution key={caution} compact>
        {caution}
      </Caution>
    ));
};

/** Under the pad: where to aim, and leaving it as it is on purpose; where no move is shown, the caution of the stage too. */
export const BesideTheMove = () => {
  const { state, item, adjuster, option } = useBench();
  if (item === null || state.spec.point === null || !isSetting(item, state)) return null;
  return (
    <Flex direction="column" gap="2">
      {(item.topic === 'put_right' || !isMove(state, adjuster, option)) && <SetCautions />}
      <SetHow />
      <Flex wrap="wrap" columnGap="5">
        <RidersWish />
        <ByChoice />
      </Flex>
    </Flex>
  );
};

const Expectation = ({ option }: { option: Option }) => {
  if (option.expected_mm === null) return <>{option.sentence}</>;
  const room = option.room_say === null ? 'What is left is not known.' : `Then ${option.room_say} left that way.`;
  return (
    <>
      Expect{' '}
      <b>
        {lengthText(option.expected_mm)} {lengthUnit()}
      </b>
      {option.low_mm !== null &&
        option.high_mm !== null &&
        ` (${lengthText(option.low_mm)} to ${lengthText(option.high_mm)})`}
      . {room}
      {!option.healthy_after &&
        option.room_say !== null &&
        ' That leaves it past its healthy zone, where it wobbles and may snap.'}
    </>
  );
};

const ReadIt = () => {
  const [moving, setMoving] = useState(false);
  const { state, point } = useBench();
  const again = state.now.mm !== null && state.now.verdict !== 'not_judged';
  return (
    <AskCard
      eyebrow={point === null ? 'Set' : `At the ${point.label}`}
      title={again ? 'Read it once more' : state.now.sentence}
    >
      {again ? <Box lineHeight="snug">{state.next.sentence}</Box> : <HowToReadHere />}
      {state.expected !== null && (
        <Box lineHeight="snug">
          Expect{' '}
          <b>
            {lengthText(state.expected.mm)} {lengthUnit()}
          </b>{' '}
          ({lengthText(state.expected.low_mm)} to {lengthText(state.expected.high_mm)}). Something else means that it
          slipped, or was turned the wrong way.
        </Box>
      )}
      <Button look="link" paddingInline="0" alignSelf="flex-start" onClick={() => setMoving(true)}>
        Log another move first
      </Button>
      <MoveDialog open={moving} onClose={() => setMoving(false)} />
    </AskCard>
  );
};

/** It can't be told: what would tell it, the turn that could be made instead, and going on with it as it reads. */
const Decide = () => {
  const { state, item, option, adjuster, send, sendLine } = useBench();
  const [differently, setDifferently] = useState(false);
  const armed = useArmed(`${state.head} decide`);
  const leave = item?.answers.find((one) => one.word === 'leave');
  const turn = adjuster !== null && option !== null && isTurnOffered(state, adjuster, option);
  const covered = adjuster?.cover !== null && adjuster?.cover_off === false;
  return (
    <AskCard eyebrow={state.now.doubt === null ? 'Not sure yet' : 'Before it counts'} title={state.next.sentence}>
      <Box>
        <VerdictChip judged={state.now} />
      </Box>
      {state.next.settled_by === 'finer' && <FinerInstrument />}
      {leave !== undefined && (
        <Button look="plain" onClick={() => armed && send({ kind: leave.kind, body: leave.body })} data-answer="leave">
          {leave.label}
        </Button>
      )}
      {turn && (
        <Button
          look="plain"
          onClick={() =>
            armed && (covered ? send({ kind: 'cover', body: { adjuster: adjuster.id, off: true } }) : sendLine('done'))
          }
          whiteSpace="normal"
          data-turned
        >
          {covered ? `The ${adjuster.cover} is off, to turn it` : `I turned the ${adjuster.name} ${option.phrase}`}
        </Button>
      )}
      <Button look="link" paddingInline="0" alignSelf="flex-start" onClick={() => setDifferently(true)}>
        Log another move
      </Button>
      <MoveDialog open={differently} onClose={() => setDifferently(false)} />
      {leave === undefined && !turn && state.now.doubt === null && <HangTag />}
    </AskCard>
  );
};

const titles = (state: BenchState, item: Item | null): string => {
  const { kind, looked_at, settled_by } = state.next;
  if (kind === 'prove') return item?.label ?? '';
  if (kind !== 'suspect' && kind !== 'routing_fault') return 'No move reaches the band';
  if (settled_by === 'finer') return 'Take a finer instrument';
  if (looked_at) return 'Replace the cable, or tag it';
  return kind === 'suspect' ? 'Stop turning, and look' : 'Look at the route';
};

const lookedFor = (inVain: boolean, settledBy: BenchState['next']['settled_by']): string => {
  if (inVain) return 'Or tap what was put right since.';
  return settledBy === 'hand' ? 'Or tap what was put right.' : 'Tap what was put right.';
};

/** Nothing known reaches: first what nobody has looked at yet, since it may. */
const NoMove = () => {
  const { state, item, option, adjuster, send } = useBench();
  const [differently, setDifferently] = useState(false);
  const hidden = [adjuster, ...state.adjusters].find(
    (one) => one?.sets === 'play' && one.at_say === null && one.cover !== null && !one.cover_off,
  );
  const another = state.next.kind === 'move' && option?.steps == null;
  const looks = !another && isLookedFor(item, state);
  const inVain = looks && state.next.looked_at;
  const settledBy = inVain || another ? null : state.next.settled_by;
  const isHidden = hidden != null && state.next.kind !== 'suspect' && state.next.kind !== 'routing_fault';
  return (
    <AskCard
      eyebrow={another ? (adjuster?.name ?? '') : 'Set'}
      title={another ? 'Choose another adjuster' : isHidden ? `Look at the ${hidden.name} first` : titles(state, item)}
    >
      <OfThePose />
      <Box lineHeight="snug">
        {another ? option?.sentence : state.next.kind === 'prove' && !isHidden ? item?.detail : state.next.sentence}
      </Box>
      {isHidden && (
        <Button
          look="vivid"
          size="tall"
          onClick={() => send({ kind: 'cover', body: { adjuster: hidden.id, off: true } })}
          data-primary
        >
          The {hidden.cover} is off
        </Button>
      )}
      {inVain && (
        <>
          <ReplaceCable look="vivid" />
          <HangTag />
        </>
      )}
      {settledBy === 'hand' && <MeasureHand vivid />}
      {settledBy === 'finer' && <FinerInstrument />}
      {looks && (
        <>
          <Box textStyle="small">
            {state.next.suspects.length > 0 && 'Look for these. '}
            {lookedFor(inVain, settledBy)} It is read again then.
          </Box>
          <Cures
            tall={!isHidden}
            first={settledBy ?? undefined}
            suspects={state.next.suspects}
            none={
              state.next.kind !== 'out_of_thread' &&
              settledBy !== 'hand' && <NothingFound says="Looked, nothing found: read anew" />
            }
          />
        </>
      )}
      <Others />
      <Button look="plain" onClick={() => setDifferently(true)}>
        Log a move
      </Button>
      {((looks && !inVain) || settledBy === 'finer') && <HangTag />}
      <MoveDialog open={differently} onClose={() => setDifferently(false)} />
    </AskCard>
  );
};
