import { Box } from '@chakra-ui/react';
import { type ReactNode, useContext, useState } from 'react';
import type { Adjuster, BenchState, Item } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { useSignedIn } from '../../../lib/signedIn';
import { isSetHere, stageAsking } from '../asks';
import { BeforeAdviceContext } from '../beforeAdvice';
import { useBench, useOutboxStatus } from '../useBench';
import { AskAnswers } from './AskAnswers';
import { AskCard } from './AskCard';
import { AskCompare } from './AskCompare';
import { AskMeasure } from './AskMeasure';
import { AskPhoto } from './AskPhoto';
import { AskReading } from './AskReading';
import { AskThread } from './AskThread';
import { CheckSafe } from './CheckCards';
import { Guided } from './Guided';
import { MoveDialog } from './MoveDialog';
import { NextMove } from './NextMove';
import { ClosedCard, JoinCard, LookOnlyCard, TaggedCard } from './OtherCards';
import { PutRight } from './PutRight';
import { SetByOutcome } from './SetByOutcome';
import { SignOff } from './SignOff';

/** An adjuster picked although nothing asks for it: what is proved may still want it moved. */
const Picked = ({ adjuster }: { adjuster: Adjuster }) => {
  const { send } = useBench();
  const [moving, setMoving] = useState(false);
  const covered = adjuster.cover !== null && !adjuster.cover_off;
  if (adjuster.guide.length > 0) return <Guided adjuster={adjuster} />;
  return (
    <AskCard eyebrow={adjuster.kind_label} title={`Move the ${adjuster.name} after all?`}>
      <Box lineHeight="snug">What was read and tried counts no more after it, and is asked for again.</Box>
      {adjuster.caution !== null && <Caution compact>{adjuster.caution}</Caution>}
      {covered ? (
        <Button
          look="plain"
          size="tall"
          onClick={() => send({ kind: 'cover', body: { adjuster: adjuster.id, off: true } })}
        >
          The {adjuster.cover} is off
        </Button>
      ) : (
        <Button look="plain" size="tall" onClick={() => setMoving(true)} disabled={adjuster.sets === 'nothing'}>
          Log a move
        </Button>
      )}
      <MoveDialog open={moving} onClose={() => setMoving(false)} />
    </AskCard>
  );
};

/** Bringing it right: by a move of play, by what its settings did, or by putting right what no adjuster cures. */
const InBand = ({ item }: { item: Item }) => {
  const { state } = useBench();
  const first = useContext(BeforeAdviceContext);
  if (item.topic === 'put_right') return <PutRight item={item} />;
  if (first !== null && isTurn(state)) return first;
  if (state.spec.point === null && state.beside.table !== null) return <SetByOutcome table={state.beside.table} />;
  return <NextMove />;
};

/** Whether a turn is advised: of play, or of what a table of settings wants. */
const isTurn = (state: BenchState): boolean =>
  state.next.kind === 'move' || (state.next.kind === 'table' && state.beside.table?.advice.kind === 'move');

/** A move, a verdict or a signature rests on all that was typed: none is shown while some of it was judged by nobody. */
const Judged = ({ children }: { children: ReactNode }) => {
  const { kept, connection } = useOutboxStatus();
  const { item } = useBench();
  const waiting = kept.filter((entry) => entry.state === 'waiting').length;
  if (waiting === 0 || (connection !== 'cut' && item !== null)) return children;
  return (
    <AskCard eyebrow="Kept on this device" title="Not judged yet">
      <Box lineHeight="snug" data-unjudged>
        {waiting === 1 ? 'One entry waits' : `${waiting} entries wait`} for the server. What comes next is told once it
        answers. Readings and notes can be typed on.
      </Box>
    </AskCard>
  );
};

/** The one thing to do now. */
export const NowCard = () => {
  const { state, joined, item, viewed, picked, adjuster } = useBench();
  const person = useSignedIn();
  if (state.closed !== null) return <ClosedCard />;
  if (!person.may_log) return <LookOnlyCard />;
  if (!joined) return <JoinCard />;
  const hungHere = state.tag !== null && state.log.some((row) => row.kind === 'tag');
  if (hungHere) return <TaggedCard />;
  if (item === null)
    return (
      <Judged>
        <SignOff />
      </Judged>
    );
  const stage = stageAsking(state, item.key);
  if (
    state.check?.on === true &&
    stage?.key === 'make_safe' &&
    stage.together?.keys.includes(item.key) &&
    person.may_sign_off
  )
    return <CheckSafe stage={stage} together={stage.together} />;
  // A part may be what is put right: its own adjuster can be picked there.
  const mends = item.topic === 'put_right' || item.topic === 'fault';
  if (viewed === 'set' && picked && adjuster !== null && item.topic !== 'in_band' && (state.stage !== 'set' || mends))
    return <Picked adjuster={adjuster} />;
  const ask = {
    answer: <AskAnswers key={item.key} item={item} />,
    thread: <AskThread item={item} />,
    reading: <AskReading item={item} />,
    measure: <AskMeasure key={item.key} item={item} />,
    compare: <AskCompare key={item.key} item={item} />,
    photo: <AskPhoto key={item.key} item={item} />,
    in_band: (
      <Judged>
        <InBand item={item} />
      </Judged>
    ),
    sign_off: (
      <Judged>
        <SignOff />
      </Judged>
    ),
  } as const satisfies Record<typeof item.kind, React.ReactNode>;
  return isSetHere(item, state) ? ask.in_band : ask[item.kind];
};
