import { Box, Flex } from '@chakra-ui/react';
import type { Adjuster } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { useArmed } from '../useArmed';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';

/** What is set by steps in one order: the steps before they are begun, and the first of them as the next action. */
export const Guided = ({ adjuster }: { adjuster: Adjuster }) => {
  const { state, send, chooseAdjuster } = useBench();
  const armed = useArmed(`${state.head} ${adjuster.id}`);
  const covered = adjuster.cover !== null && !adjuster.cover_off;
  const first = adjuster.guide[0];
  const other = state.adjusters.find((one) => one.id === (state.next.recommended ?? '') && one.id !== adjuster.id);
  if (first === undefined) return null;
  return (
    <AskCard eyebrow={adjuster.kind_label} title={`Set the ${adjuster.name} by its steps`}>
      <Box asChild paddingLeft="5" lineHeight="snug" fontSize="sm" listStyleType="decimal">
        <ol>
          {adjuster.guide.map((step) => (
            <li key={step.key}>{step.label}</li>
          ))}
        </ol>
      </Box>
      {adjuster.caution !== null && <Caution compact>{adjuster.caution}</Caution>}
      <Flex gap="2" flexWrap="wrap">
        <Button
          look="vivid"
          size="tall"
          flex="1"
          whiteSpace="normal"
          disabled={!armed}
          onClick={() =>
            send(
              covered
                ? { kind: 'cover', body: { adjuster: adjuster.id, off: true } }
                : { kind: 'step', body: { adjuster: adjuster.id, key: first.key } },
            )
          }
          data-primary
          data-guide={adjuster.id}
        >
          {covered ? `The ${adjuster.cover} is off` : `Done: ${first.label.toLowerCase()}`}
        </Button>
        {other !== undefined && (
          <Button look="plain" onClick={() => chooseAdjuster(other.id)}>
            Not this one
          </Button>
        )}
      </Flex>
    </AskCard>
  );
};
