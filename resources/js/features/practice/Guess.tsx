import { Box } from '@chakra-ui/react';
import { Button } from '../../components/Buttons';
import { AskCard } from '../job/ask/AskCard';
import { by, TurnPicker, useAmount } from './TurnIt';
import { usePractice } from './usePractice';

/** The learner first: which adjuster, which way, how far. Then the bench says what it would do. */
export const Guess = () => {
  const { attempt, act, busy } = usePractice();
  const { adjusters } = attempt.machine;
  const { amount, setAmount, one } = useAmount(adjusters, null);
  if (one === undefined) return null;
  const steps = by(one, amount);
  return (
    <AskCard eyebrow="You first" title="Which adjuster, which way, how far?">
      <TurnPicker adjusters={adjusters} amount={amount} setAmount={setAmount} one={one} />
      <Button
        look="vivid"
        size="tall"
        disabled={busy || steps === 0}
        onClick={() => act({ act: 'guess', of: one.id, by: steps })}
        data-primary
        data-guess
      >
        That is what I would do
      </Button>
      <Box lineHeight="snug" color="soft">
        Nothing is turned by this. You then see what the bench would do.
      </Box>
      <Button look="link" alignSelf="flex-start" disabled={busy} onClick={() => act({ act: 'ask' })} data-ask-bench>
        Show me, I do not know
      </Button>
    </AskCard>
  );
};

/** Whoever set the lesson wants it done without: nothing is said of what to turn. */
export const NoAdvice = () => (
  <AskCard eyebrow="You decide" title="Set it as you would">
    <Box lineHeight="snug">There is no advice in this lesson. Turn it at the machine, then write what you turned.</Box>
  </AskCard>
);
