import { Box } from '@chakra-ui/react';
import type { Item } from '../../../api/jobs';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';
import { Cures } from './Cures';
import { HangTag } from './HangTag';
import { MeasureShort } from './MeasureShort';
import { Imitators } from './SetByOutcome';

/** What failed is put right otherwise than by an adjuster, and tried again. */
export const PutRight = ({ item }: { item: Item }) => {
  const { beside } = useBench().state;
  return (
    <AskCard eyebrow="Set" title={item.label}>
      <Box lineHeight="snug">{item.said}</Box>
      <MeasureShort />
      {beside.not_settable !== null && <Box lineHeight="snug">{beside.not_settable}</Box>}
      <Box textStyle="small">Tap what was put right. It is tried again then.</Box>
      <Cures tall />
      <Imitators />
      <HangTag />
    </AskCard>
  );
};
