import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import type { PracticeAttempt, PracticeScore } from '../../api/practice';
import { Button, LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Title } from '../../components/Title';
import { clock } from '../../lib/time';
import { Bar } from './Skills';
import { useBegin } from './useBegin';

/** How it went, in words, and what was done gone through once more beside how the machine truly stood. */
export const Ended = ({ attempt }: { attempt: PracticeAttempt }) => {
  const [deed, setDeed] = useState<number | null>(null);
  const { score } = attempt;
  if (score === null) return null;
  return (
    <Frame>
      <Box textStyle="eyebrow">Practice · {attempt.lesson.title}</Box>
      <Grid templateColumns={{ base: '1fr', lg: '1.2fr 1fr' }} gap="4" marginTop="2" alignItems="start">
        <Flex direction="column" gap="4" minWidth="0">
          <Total attempt={attempt} score={score} />
          <Sheet padding="4" aria-label="Skill by skill">
            {score.skills.map((one) => (
              <SkillRow key={one.skill} skill={one} onDeed={setDeed} />
            ))}
          </Sheet>
        </Flex>
        <Steps attempt={attempt} deed={deed} setDeed={setDeed} />
      </Grid>
    </Frame>
  );
};

const Total = ({ attempt, score }: { attempt: PracticeAttempt; score: PracticeScore }) => {
  const { start, busy, refusal } = useBegin();
  const { next } = attempt.lesson;
  const worst = [...score.skills].sort((a, b) => a.points - a.of - (b.points - b.of))[0];
  return (
    <Sheet
      tone={attempt.lesson.learned ? 'plain' : 'vivid'}
      padding="4"
      aria-label="How it went"
      data-score={score.total}
    >
      <Flex gap="5" alignItems="center" flexWrap="wrap">
        <Title fontSize="4xl" lineHeight="tight">
          {score.total} of 100
        </Title>
        <Box flex="1 1 {sizes.56}" lineHeight="snug">
          {worst !== undefined && worst.points < worst.of ? worst.sentence : 'Nothing to do otherwise.'}
          <Box color="soft">
            {score.moves === 1 ? '1 move' : `${score.moves} moves`}, {Math.max(1, Math.round(score.minutes))} min
          </Box>
        </Box>
      </Flex>
      <Flex gap="3" marginTop="4" flexWrap="wrap">
        {next !== null && (
          <Button look="vivid" disabled={busy} onClick={() => start(next)} data-primary data-next-lesson>
            Next lesson
          </Button>
        )}
        <Button look="plain" disabled={busy} onClick={() => start(attempt.lesson.key)} data-again>
          Once more
        </Button>
        <LinkButton to="/practice" look="quiet" textDecoration="none">
          All lessons
        </LinkButton>
      </Flex>
      {refusal !== null && (
        <Box role="alert" color="stop" fontWeight="bold" marginTop="3">
          {refusal}
        </Box>
      )}
    </Sheet>
  );
};

const SkillRow = ({ skill, onDeed }: { skill: PracticeScore['skills'][number]; onDeed: (deed: number) => void }) => (
  <Box
    paddingBlock="2"
    borderBottomWidth="thin"
    borderColor="line"
    _last={{ borderBottomWidth: '0' }}
    data-skill={skill.skill}
  >
    <Flex alignItems="center" gap="3">
      <Box fontWeight="bold" flex="0 0 {sizes.44}" lineHeight="snug">
        {skill.label}
      </Box>
      <Bar share={skill.points / skill.of} good={skill.remarks.length === 0} />
      <Box minWidth="18" textAlign="right">
        {skill.points} of {skill.of}
      </Box>
    </Flex>
    <Box lineHeight="snug" color={skill.remarks.length === 0 ? 'soft' : undefined}>
      {skill.sentence}
    </Box>
    {skill.remarks
      .filter((remark) => remark.sentence !== skill.sentence)
      .map((remark, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: remarks of an ended attempt never change places
        <Flex key={place} gap="2" alignItems="baseline" paddingLeft="3" lineHeight="snug" flexWrap="wrap">
          <Box flex="1 1 {sizes.48}">· {remark.sentence}</Box>
          {remark.deed !== null && (
            <Button look="link" onClick={() => onDeed(remark.deed as number)} data-show-deed={remark.deed}>
              Where
            </Button>
          )}
        </Flex>
      ))}
  </Box>
);

const Steps = ({
  attempt,
  deed,
  setDeed,
}: {
  attempt: PracticeAttempt;
  deed: number | null;
  setDeed: (deed: number) => void;
}) => {
  const { deeds } = attempt;
  const at = Math.min(deed ?? 0, deeds.length - 1);
  const now = deeds[at];
  if (now === undefined) return null;
  return (
    <Sheet padding="4" aria-label="Step by step" data-steps-through>
      <Heading as="h2" fontSize="xl">
        Step by step
      </Heading>
      <Box bg="petrol.pale" borderRadius="md" padding="3" marginTop="3" lineHeight="snug" aria-live="polite" data-truth>
        <Box textStyle="eyebrow">How it truly stood</Box>
        <b>{now.truth}</b>
      </Box>
      <Flex gap="2" marginTop="3">
        <Button look="plain" disabled={at === 0} onClick={() => setDeed(at - 1)} flex="1" data-before>
          Before
        </Button>
        <Button look="plain" disabled={at === deeds.length - 1} onClick={() => setDeed(at + 1)} flex="1" data-after>
          After
        </Button>
      </Flex>
      <Box asChild maxHeight={{ lg: '104' }} overflowY="auto" marginTop="3" listStyleType="none">
        <ol>
          {deeds.map((one, place) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: what was done stays in its order
            <li key={place}>
              <Button
                look="quiet"
                borderColor={place === at ? 'ink' : 'transparent'}
                bg={place === at ? 'well' : undefined}
                width="100%"
                justifyContent="flex-start"
                textAlign="left"
                fontFamily="body"
                fontSize="sm"
                fontWeight={one.is_act ? 'bold' : 'normal'}
                aria-current={place === at ? 'step' : undefined}
                onClick={() => setDeed(place)}
                data-deed={place}
              >
                <Box as="span" color="soft" minWidth="14">
                  {clock(one.at)}
                </Box>
                <Box as="span" flex="1">
                  {one.say}
                </Box>
              </Button>
            </li>
          ))}
        </ol>
      </Box>
    </Sheet>
  );
};
