import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import type { Item, StageKey } from '../../../api/jobs';
import { Sheet } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { Mark, type MarkKind } from '../../../components/Marks';
import { clock } from '../../../lib/time';
import { settles, useBench, useOutboxStatus } from '../useBench';

const Line = chakra('button');

/** The lines of a stage, each with its caution, its answer, and who gave it when. */
export const Checklist = ({ stage: key }: { stage: StageKey }) => {
  const { state, item: asked, mayWrite } = useBench();
  const stage = state.stages.find((one) => one.key === key);
  if (stage === undefined) return null;
  // Where one of its lines is asked, the card says them.
  const isAsked = mayWrite && stage.items.some((one) => one.key === asked?.key);
  const items = stage.items.filter((item) => item.topic !== 'pose');
  // A check asks nothing more of its proving than the readings, which stand above.
  if (items.length === 0) return null;
  return (
    <Sheet padding="4" aria-label={stage.title}>
      <Flex justifyContent="space-between" alignItems="baseline" gap="3" marginBottom="3">
        <Heading as="h2" fontSize="xl">
          {stage.title}
        </Heading>
        <Box textStyle="small">{stage.summary}</Box>
      </Flex>
      <Flex direction="column" gap="2" marginBottom="2">
        {!isAsked && stage.cautions.map((caution) => <Caution key={caution}>{caution}</Caution>)}
      </Flex>
      <ul>
        {items.map((item) => (
          <CheckLine key={item.key} item={item} />
        ))}
      </ul>
    </Sheet>
  );
};

const markOf = (item: Item, kept: boolean): MarkKind =>
  kept ? 'cant_tell' : item.failed ? 'wrong' : item.done ? 'inside' : 'to_do';

const CheckLine = ({ item }: { item: Item }) => {
  const { item: asked, turnTo, mayWrite } = useBench();
  const { kept } = useOutboxStatus();
  const waits = kept.some((entry) => settles(entry, item));
  const isAsked = asked?.key === item.key;
  return (
    <chakra.li borderTopWidth="thin" borderColor="line" _first={{ borderTopWidth: '0' }}>
      <Line
        type="button"
        disabled={!mayWrite}
        onClick={() => turnTo(item.key)}
        aria-current={isAsked ? 'true' : undefined}
        data-item={item.key}
        data-done={item.done}
        display="grid"
        gridTemplateColumns="{sizes.7} 1fr auto"
        columnGap="2"
        width="100%"
        textAlign="left"
        paddingBlock="2.5"
        paddingInline="2"
        minHeight="touch"
        alignItems="start"
        cursor={mayWrite ? 'pointer' : 'default'}
        borderRadius="md"
        bg={isAsked ? 'vivid.wash' : 'transparent'}
        _hover={mayWrite ? { bg: isAsked ? 'vivid.wash' : 'well' } : {}}
      >
        <Mark kind={markOf(item, waits)} size="large" style={{ marginTop: '2px' }} />
        <Box minWidth="0">
          <Box fontSize="lg" lineHeight="snug" fontWeight={isAsked ? 'bold' : 'normal'}>
            {item.label}
          </Box>
          {item.detail !== null && <Box textStyle="small">{item.detail}</Box>}
          {item.caution !== null && !item.done && (
            <Box marginTop="1">
              <Caution compact>{item.caution}</Caution>
            </Box>
          )}
        </Box>
        <Box textAlign="right" fontSize="sm" lineHeight="snug" maxWidth="64" overflowWrap="anywhere">
          {waits ? (
            'kept, not judged yet'
          ) : (
            <>
              <Box fontWeight="bold">{item.said}</Box>
              {item.by !== null && item.at !== null && (
                <Box color="soft">
                  {item.by} {clock(item.at)}
                </Box>
              )}
            </>
          )}
        </Box>
      </Line>
    </chakra.li>
  );
};
