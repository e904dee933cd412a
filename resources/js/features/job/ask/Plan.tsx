import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Option } from '../../../api/jobs';
import { Mark } from '../../../components/Marks';
import { lengthText, lengthUnit } from '../../../lib/figures';
import { useBench } from '../useBench';

const Folded = chakra('details');
const Line = chakra('summary');

/** The whole plan when it has more than one step, why it is this one, and the one that came second. */
export const Plan = () => {
  const { state, adjuster } = useBench();
  const { plan } = state.next;
  if (plan === null || state.next.recommended !== adjuster?.id) return null;
  const single = plan.steps.length === 1;
  if (single && plan.runner_up === null && plan.why === null) return null;
  return (
    <Box borderTopWidth="thin" borderColor="line" paddingTop="2" fontSize="sm" lineHeight="snug" data-plan>
      {!single && (
        <Box asChild listStyleType="none">
          <ol aria-label="Plan">
            {plan.steps.map((step, n) => (
              // One adjuster may stand in a plan twice: past it, and back.
              <PlanStep key={`${step.adjuster} ${step.steps}`} step={step} first={n === 0} />
            ))}
          </ol>
        </Box>
      )}
      {(plan.runner_up !== null || plan.why !== null) && (
        <Folded marginTop={single ? '0' : '1'}>
          <Line minHeight="7" cursor="pointer" color="soft">
            {single ? 'Why this one' : 'Why this plan'}
          </Line>
          {plan.why !== null && <Box>{plan.why}</Box>}
          {plan.runner_up !== null && <Box>Second best: {plan.runner_up}.</Box>}
        </Folded>
      )}
    </Box>
  );
};

const PlanStep = ({ step, first }: { step: Option; first: boolean }) => {
  const { state } = useBench();
  const name = state.adjusters.find((one) => one.id === step.adjuster)?.name ?? step.adjuster;
  return (
    <Flex as="li" gap="2" alignItems="baseline" paddingBlock="0.5" fontWeight={first ? 'bold' : 'normal'}>
      <Mark kind={first ? 'next' : 'to_do'} size="small" />
      <Box flex="1">
        {name} {step.phrase}
      </Box>
      {step.expected_mm !== null && (
        <Box as="span" whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
          → {lengthText(step.expected_mm)} {lengthUnit()}
        </Box>
      )}
    </Flex>
  );
};
