import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { lessonsQuery, type PracticeLessons } from '../../api/practice';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Select, words } from '../../components/Select';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { useSignedIn } from '../../lib/signedIn';
import { familiesOf } from './families';
import { Keeping, TakeIn } from './OwnLessons';
import { randomKey } from './randomKey';
import { SetForMe } from './SetForMe';
import { Skills } from './Skills';
import { type Begin, beginSays, useBegin } from './useBegin';

/** Machines that are not there, to learn on: what to go on with, every lesson, and how one does. */
export default function PracticeScreen() {
  const { data, error, refetch } = useQuery(lessonsQuery);
  const lead = useSignedIn().may_keep_shop;
  return (
    <Frame>
      <Flex alignItems="center" gap="4" marginBottom="3" flexWrap="wrap">
        <Title marginRight="auto">Practice</Title>
        {lead && <TakeIn />}
        {lead && (
          <LinkButton to="/practice/learners" look="quiet" textDecoration="none">
            Who learns
          </LinkButton>
        )}
      </Flex>
      {data === undefined ? (
        error !== null ? (
          <Failure error={error} retry={() => refetch()} />
        ) : (
          <Loading what="the lessons" />
        )
      ) : (
        <Lessons list={data} />
      )}
    </Frame>
  );
}

type List = PracticeLessons;
type Lesson = List['lessons'][number];

const Lessons = ({ list }: { list: List }) => {
  const begin = useBegin();
  const [family, setFamily] = useState('');
  const next = list.lessons.find((one) => one.key === list.next);
  const families = [...new Set(list.lessons.map((one) => one.family_title))];
  const shown = list.lessons.filter((one) => family === '' || one.family_title === family);
  const learned = list.lessons.filter((one) => one.learned).length;
  // What a teacher waits for comes before what one would choose oneself.
  const isAwaited = list.set.some((one) => one.best === null);
  return (
    <Flex direction="column" gap="4">
      {begin.refusal !== null && (
        <Box role="alert" color="stop" fontWeight="bold">
          {begin.refusal}
        </Box>
      )}
      {isAwaited && <SetForMe set={list.set} begin={begin} />}
      <Grid templateColumns={{ base: '1fr', lg: '1.4fr 1fr' }} gap="4">
        {next !== undefined && <Next lesson={next} weakAt={list.next_for} first={!isAwaited} begin={begin} />}
        <Sheet padding="4" aria-label="How you do">
          <Box textStyle="eyebrow">
            {learned} of {list.lessons.length} learned
          </Box>
          {list.skills.length === 0 ? (
            <Box marginTop="2" lineHeight="snug">
              Nothing here is in the workshop’s records. Turn, misread and try as you like: the machine is not there.
            </Box>
          ) : (
            <Skills skills={list.skills} />
          )}
        </Sheet>
      </Grid>
      {!isAwaited && list.set.length > 0 && <SetForMe set={list.set} begin={begin} />}
      <AtRandom list={list} begin={begin} />
      <Flex>
        <Box flex="0 1 {sizes.44}">
          <Select
            says="Which kind of control"
            none="Every control"
            options={words(families)}
            value={family}
            onPick={setFamily}
          />
        </Box>
      </Flex>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr', xl: '1fr 1fr 1fr' }} gap="3">
        {shown.map((one) => (
          <Row key={one.key} lesson={one} begin={begin} />
        ))}
      </Grid>
    </Flex>
  );
};

type NextProps = { lesson: Lesson; weakAt: string | null; first: boolean; begin: Begin };

const Next = ({ lesson, weakAt, first, begin }: NextProps) => (
  <Sheet tone={first ? 'vivid' : 'plain'} padding="4" aria-label="What to go on with" data-next>
    <Box textStyle="eyebrow" color="actionText">
      {lesson.open === null ? 'Next lesson' : 'Go on with'} · {lesson.family_title}
    </Box>
    <Heading as="h2" fontSize="3xl" marginTop="1">
      {lesson.title}
    </Heading>
    <Box marginTop="2" lineHeight="snug">
      {lesson.story} {lesson.teaches}
    </Box>
    {weakAt !== null && (
      <Box marginTop="2" lineHeight="snug" fontWeight="bold" data-weak-at>
        For what you are weakest at: {weakAt.toLowerCase()}.
      </Box>
    )}
    <Button
      look={first ? 'vivid' : 'plain'}
      size={first ? 'tall' : undefined}
      marginTop="4"
      width={{ base: '100%', md: 'auto' }}
      paddingInline="8"
      disabled={begin.busy}
      onClick={() => begin.start(lesson.key, lesson.open)}
      data-primary={first || undefined}
      data-begin={lesson.key}
    >
      {lesson.open === null ? 'Begin' : 'Go on'}
    </Button>
  </Sheet>
);

/** A machine as chance has it: what is wrong with it nobody says. */
const AtRandom = ({ list, begin }: { list: List; begin: Begin }) => {
  const families = familiesOf(list.lessons);
  const [family, setFamily] = useState<string>(families[0]?.[0] ?? '');
  return (
    <Sheet padding="4" aria-label="A machine at random" data-random>
      <Flex gap="3" alignItems="center" flexWrap="wrap">
        <Box flex="1 1 {sizes.56}" lineHeight="snug">
          <Heading as="h2" fontSize="xl">
            A machine at random
          </Heading>
          <Box color="soft">Something is wrong with it. Nobody says what.</Box>
        </Box>
        <Box flex="0 1 {sizes.64}">
          <Select
            says="Which control"
            value={family}
            onPick={setFamily}
            options={families.map(([key, label]) => ({ key, label }))}
          />
        </Box>
        <Button look="plain" disabled={begin.busy} onClick={() => begin.start(randomKey(family))} data-begin-random>
          Begin
        </Button>
        {list.free !== null && (
          <LinkButton to={`/practice/${list.free}`} look="quiet" textDecoration="none">
            Go on with the last
          </LinkButton>
        )}
      </Flex>
    </Sheet>
  );
};

const Row = ({ lesson, begin }: { lesson: Lesson; begin: Begin }) => (
  <Sheet padding="3" aria-label={lesson.title} data-lesson={lesson.key}>
    <Flex direction="column" height="100%" gap="1">
      <Flex justifyContent="space-between" gap="2">
        <Box textStyle="eyebrow">
          {lesson.own ? 'Our own · ' : ''}
          {lesson.family_title}
        </Box>
        <Box fontWeight="bold" color={lesson.learned ? 'inside' : 'soft'} whiteSpace="nowrap">
          {lesson.open !== null ? 'Open' : lesson.best === null ? 'New' : `${lesson.best} of 100`}
        </Box>
      </Flex>
      <Heading as="h3" fontSize="xl">
        {lesson.title}
      </Heading>
      <Box color="soft" lineHeight="snug" flex="1">
        {lesson.teaches}
      </Box>
      <Flex marginTop="2" alignItems="center" gap="2">
        <Button
          look="plain"
          size="small"
          disabled={begin.busy}
          onClick={() => begin.start(lesson.key, lesson.open)}
          aria-label={`${beginSays(lesson)}: ${lesson.title}`}
        >
          {beginSays(lesson)}
        </Button>
        {useSignedIn().may_keep_shop && <Keeping lesson={lesson.key} own={lesson.own} />}
      </Flex>
    </Flex>
  </Sheet>
);
