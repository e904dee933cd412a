import { Box, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import type { PracticeMachine } from '../../api/practice';
import { Sheet } from '../../components/Buttons';
import { PickOne } from '../../components/PickOne';
import { useBench } from '../job/useBench';
import { LookAtIt, MeasureIt, PutItRight, RunIt, TryIt } from './DoIt';
import { PullIt } from './PullIt';
import { TurnIt } from './TurnIt';
import { usePractice } from './usePractice';
import { type Way, wanted, ways } from './wanted';

const names: Record<Way, string> = {
  pull: 'Pull and read',
  turn: 'Turn',
  try: 'Try',
  run: 'Run',
  measure: 'Measure',
  look: 'Look',
  cure: 'Hook, put right',
};

/** The machine itself: it does what its hidden state makes it do, whatever is written of it. */
export const Machine = () => {
  const { item, state } = useBench();
  const { attempt, refusal } = usePractice();
  const { machine } = attempt;
  const [picked, setPicked] = useState<{ way: Way; at: string } | null>(null);
  const there = ways.filter((way) => has(machine, way));
  const asked = wanted(item, state, machine.is_advised);
  const at = `${item?.key} ${state.next.kind} ${asked}`;
  // What is asked decides what is looked at, until the learner looks elsewhere.
  const way = picked !== null && picked.at === at ? picked.way : there.includes(asked) ? asked : (there[0] ?? 'look');
  return (
    <Sheet padding="4" aria-label="The machine" data-machine>
      <Flex alignItems="baseline" gap="3" flexWrap="wrap" marginBottom="3">
        <Heading as="h2" fontSize="xl">
          The machine
        </Heading>
        <Box color="soft" flex="1 1 {sizes.56}" lineHeight="snug">
          {attempt.lesson.story}
        </Box>
      </Flex>
      <PickOne
        says="What to do to the machine"
        mark="way"
        options={there.map((key) => ({ key, label: names[key] }))}
        value={way}
        onPick={(key) => setPicked({ way: key as Way, at })}
      />
      {refusal !== null && (
        <Box role="alert" color="stop" fontWeight="bold" marginTop="3" data-refused>
          {refusal}
        </Box>
      )}
      <Box marginTop="4">{panels[way]}</Box>
    </Sheet>
  );
};

const panels: Record<Way, React.ReactNode> = {
  pull: <PullIt />,
  turn: <TurnIt />,
  try: <TryIt />,
  run: <RunIt />,
  measure: <MeasureIt />,
  look: <LookAtIt />,
  cure: <PutItRight />,
};

const has = (machine: PracticeMachine, way: Way): boolean =>
  ({
    pull: machine.points.length > 0,
    turn: machine.adjusters.length > 0,
    try: machine.proofs.length > 0,
    run: machine.settings.length > 0,
    measure: machine.measures.length > 0 || machine.distances.length > 0,
    look: machine.parts.length > 0,
    cure: machine.cures.length > 0,
  })[way];
