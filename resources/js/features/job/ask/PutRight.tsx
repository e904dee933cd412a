import { Box } from '@chakra-ui/react';
import type { Item } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';
import { Cures } from './Cures';
import { HangTag } from './HangTag';
import { MeasureShort } from './MeasureShort';
import { NothingFound } from './NothingFound';
import { Imitators } from './SetByOutcome';

/** What failed is put right otherwise than by an adjuster, and tried again. */
export const PutRight = ({ item }: { item: Item }) => {
  const { state, turnTo } = useBench();
  const { beside, next } = state;
  const measured = beside.measures.filter((one) => one.put_right);
  const { suspects, not_settable } = beside;
  // What the server takes: where the bench says what is looked for, and nothing is to be measured first.
  const mayFindNothing = next.kind === 'suspect' && next.settled_by === null;
  return (
    <AskCard eyebrow="Set" title={item.label}>
      <Box lineHeight="snug">{next.looked_at ? next.sentence : item.said}</Box>
      {next.looked_at && <HangTag />}
      <MeasureShort />
      {not_settable !== null && <Box lineHeight="snug">{not_settable}</Box>}
      {suspects.length === 0 && <Imitators />}
      <Box textStyle="small">
        {suspects.length > 0 ? 'Look for these, the likeliest first. ' : ''}Tap what was put right. It is tried again
        then.
      </Box>
      <Cures
        tall
        suspects={suspects}
        none={mayFindNothing && <NothingFound says="Looked, nothing found: try it anew" />}
      />
      {measured.map((one) => (
        <Button
          key={one.key}
          look="link"
          paddingInline="0"
          alignSelf="flex-start"
          onClick={() => turnTo(`measure:${one.key}`)}
          data-measure-again={one.key}
        >
          Measured wrongly? Measure it again
        </Button>
      ))}
      {!next.looked_at && <HangTag />}
    </AskCard>
  );
};
