import { Box, Flex } from '@chakra-ui/react';
import { useContext } from 'react';
import type { Item } from '../../../api/jobs';
import { Caution } from '../../../components/Caution';
import { Mark } from '../../../components/Marks';
import { BeforeAdviceContext } from '../beforeAdvice';
import { Governor } from '../beside/Governor';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';
import { Cures } from './Cures';
import { HangTag } from './HangTag';
import { StopWatch } from './StopWatch';

/** Something else than play is measured: how, how often, and what it says so far. */
export const AskMeasure = ({ item }: { item: Item }) => {
  const { state } = useBench();
  const stage = state.stages.find((one) => one.items.some((other) => other.key === item.key));
  const measure = state.beside.measures.find((one) => one.key === item.measure);
  const first = useContext(BeforeAdviceContext);
  if (measure === undefined) return null;
  const governed = measure.key === 'ground_speed' && measure.values.length > 0;
  if (governed && state.beside.governor?.body != null && first !== null) return first;
  return (
    <AskCard eyebrow={stage?.title ?? ''} title={item.label} stop={item.failed}>
      <Box lineHeight="snug">{item.detail}</Box>
      {item.caution !== null && <Caution>{item.caution}</Caution>}
      {measure.key === 'blade_stop' && <StopWatch />}
      {measure.values.length > 0 && (
        <Flex gap="2" alignItems="flex-start" lineHeight="snug" fontWeight="bold">
          <Mark kind={item.failed ? 'wrong' : item.done ? 'inside' : 'cant_tell'} />
          <span>{item.said}</span>
        </Flex>
      )}
      {governed && <Governor vivid />}
      {item.failed && <HangTag />}
      {governed && item.failed && state.beside.governor?.body == null && (
        <>
          <Box textStyle="small">Tap what was put right. It is measured anew then.</Box>
          <Cures tall />
        </>
      )}
    </AskCard>
  );
};
