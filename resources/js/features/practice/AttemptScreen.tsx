import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { Problem } from '../../api/client';
import { attemptQuery, type PracticeAttempt } from '../../api/practice';
import { Brand } from '../../components/Brand';
import { Button, LinkButton } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Modal } from '../../components/Modal';
import { PersonMenu } from '../../components/PersonMenu';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { ofPractice } from '../../lib/outbox';
import { preferencesOf } from '../../lib/preferences';
import { SignedInContext, useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';
import { HangTag } from '../job/ask/HangTag';
import { NowCard } from '../job/ask/NowCard';
import { BenchLog } from '../job/BenchLog';
import { BeforeAdviceContext } from '../job/beforeAdvice';
import { Tape } from '../job/drawing/Tape';
import { Notices } from '../job/Notices';
import { NotSent } from '../job/NotSent';
import { Pad } from '../job/Pad';
import { Place, ThreeColumns } from '../job/ThreeColumns';
import { BenchContext, OutboxStatusContext, useBench, useMakeBench } from '../job/useBench';
import { Ended } from './Ended';
import { Guess, NoAdvice } from './Guess';
import { Machine } from './Machine';
import { PracticeContext, useMakePractice, usePractice } from './usePractice';

export default function AttemptScreen() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useQuery(attemptQuery(id));
  if (data?.is_over === true) return <Ended attempt={data} />;
  if (data !== undefined) return <OpenAttempt key={data.id} attempt={data} />;
  const missing = error instanceof Problem && error.status === 404;
  return (
    <Frame>
      {error === null ? (
        <Loading what="the lesson" />
      ) : (
        <Failure
          error={missing ? new Problem(404, 'There is no lesson under this address.') : error}
          retry={() => refetch()}
        >
          <LinkButton to="/practice" look="quiet" textDecoration="none">
            To the lessons
          </LinkButton>
        </Failure>
      )}
    </Frame>
  );
}

/** On a machine to learn on everybody may write and sign, and no gauge of the shop speaks. */
const OpenAttempt = ({ attempt }: { attempt: PracticeAttempt }) => {
  const person = useSignedIn();
  return (
    <SignedInContext value={{ ...person, may_log: true, may_sign_off: true, gauges: false }}>
      <AtTheMachine attempt={attempt} />
    </SignedInContext>
  );
};

const AtTheMachine = ({ attempt }: { attempt: PracticeAttempt }) => {
  const { bench, post } = useMakeBench(attempt.job, ofPractice(attempt.id));
  const practice = useMakePractice(attempt);
  return (
    <PracticeContext value={practice}>
      <BenchContext value={bench}>
        <OutboxStatusContext value={post}>
          <BeforeAdviceContext
            value={attempt.machine.is_advised ? null : attempt.machine.help === 'none' ? <NoAdvice /> : <Guess />}
          >
            <AttemptFrame />
          </BeforeAdviceContext>
        </OutboxStatusContext>
      </BenchContext>
    </PracticeContext>
  );
};

/** As at the bench: stages, what is asked and the line. Where a job has its drawing, the machine itself stands. */
const AttemptFrame = () => {
  const { state, mayWrite } = useBench();
  const { hand } = useKept(preferencesOf(useSignedIn().id));
  return (
    <ThreeColumns
      header={<AttemptHeader />}
      hand={hand}
      centre={
        <>
          <Place at={3}>
            <Machine />
          </Place>
          {state.spec.point !== null && (
            <Place at={5}>
              <Tape />
            </Place>
          )}
          <Place at={6}>
            <BenchLog />
          </Place>
        </>
      }
    >
      <Place at={1}>
        <Notices />
      </Place>
      <Place at={2}>
        <Guessed />
        <NowCard />
      </Place>
      {mayWrite && <NotSent />}
      {mayWrite && (
        <Place at={4}>
          <Pad />
        </Place>
      )}
      <Place at={7}>
        <HangTag />
      </Place>
    </ThreeColumns>
  );
};

/** What the learner would have done, above what the bench would do. */
const Guessed = () => {
  const { attempt } = usePractice();
  const { guess } = attempt.machine;
  if (guess === null) return null;
  return (
    <Box marginBottom="3" lineHeight="snug" data-guessed>
      You would turn: <b>{guess.say}</b>. The bench would turn what stands here. Turn it at the machine, then write it.
    </Box>
  );
};

const AttemptHeader = () => {
  const { attempt } = usePractice();
  const { state } = useBench();
  return (
    <Box as="header" bg="frame" color="onFrame" data-frame>
      <Flex
        alignItems="center"
        columnGap={{ base: '2', lg: '4' }}
        paddingInline={{ base: '3', lg: '5' }}
        paddingBlock="2"
        minHeight={{ base: '14', lg: '16' }}
      >
        <Flex asChild alignItems="center" minHeight="touch" minWidth="touch">
          <Link to="/practice" aria-label="To the lessons">
            <Brand size="8" />
          </Link>
        </Flex>
        <Box as="span" textStyle="eyebrow" color="vivid.onDark" display={{ base: 'none', sm: 'inline' }} data-practice>
          Practice
        </Box>
        <Box minWidth="0" flex="1 1 {sizes.32}">
          <Title fontSize={{ base: 'lg', lg: 'xl' }} lineHeight="tight">
            {attempt.lesson.title}
          </Title>
          <Box fontSize="sm" color="onFrameSoft" lineHeight="snug" display={{ base: 'none', md: 'block' }}>
            {state.family.title} · {state.spec.say}
          </Box>
        </Box>
        <StopHere />
        <Box display={{ base: 'none', md: 'block' }}>
          <PersonMenu />
        </Box>
      </Flex>
    </Box>
  );
};

/** Leaving keeps it open; ending it says how it went. */
const StopHere = () => {
  const { act, busy } = usePractice();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="frame" onClick={() => setOpen(true)} data-stop>
        End it
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="End this lesson here?"
        about="It is judged as it stands, unsigned. Left open, it stays as it is until you come back."
        cancel="Go on"
        actions={
          <>
            <LinkButton to="/practice" look="plain" textDecoration="none">
              Leave it open
            </LinkButton>
            <Button look="vivid" disabled={busy} onClick={() => act({ act: 'stop' })} data-primary data-end>
              End it and judge it
            </Button>
          </>
        }
      />
    </>
  );
};
