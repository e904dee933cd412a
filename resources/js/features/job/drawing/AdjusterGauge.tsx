import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Adjuster } from '../../../api/jobs';
import { Mark } from '../../../components/Marks';
import { shortLength } from '../../../lib/figures';
import { useBench } from '../useBench';

const Card = chakra('button');

/** How much thread is out, where it is healthy, what is left, and what must come off to reach it. Tapped, it is chosen. */
export const AdjusterGauge = ({ adjuster }: { adjuster: Adjuster }) => {
  const { adjuster: chosen, chooseAdjuster, state } = useBench();
  const isChosen = adjuster.id === chosen?.id;
  const option = state.next.options.find((one) => one.adjuster === adjuster.id);
  return (
    <Card
      type="button"
      onClick={() => chooseAdjuster(adjuster.id)}
      aria-pressed={isChosen}
      data-adjuster={adjuster.id}
      textAlign="left"
      cursor="pointer"
      minWidth="0"
      padding="1.5"
      marginBlock="-1.5"
      // No further than half the gap: what is tapped belongs to one of them.
      marginInline="-1"
      borderRadius="md"
      borderWidth="thick"
      borderColor={isChosen ? 'ink' : 'transparent'}
      _hover={{ bg: 'well' }}
    >
      <Flex alignItems="center" gap="1.5" fontFamily="heading" fontWeight="bold" fontSize="md" lineHeight="tight">
        {option !== undefined && state.next.recommended === adjuster.id && state.next.kind === 'move' && (
          <Mark kind="next" size="text" />
        )}
        {adjuster.name}
        {adjuster.locked && (
          <Box as="span" textStyle="small">
            locked
          </Box>
        )}
      </Flex>
      <Box fontSize="sm" fontVariantNumeric="tabular-nums">
        {stands(adjuster)}
      </Box>
      {adjuster.sets !== 'mechanism' && adjuster.sets !== 'nothing' && <Bar adjuster={adjuster} />}
      <Box
        textStyle="small"
        color={adjuster.healthy ? 'soft' : 'amber.text'}
        fontWeight={adjuster.healthy ? 'normal' : 'bold'}
      >
        {reserve(adjuster)}
      </Box>
      <Box textStyle="small">{reach(adjuster)}</Box>
    </Card>
  );
};

const stands = (adjuster: Adjuster): string => {
  if (adjuster.sets === 'nothing') return 'nothing to turn here';
  if (adjuster.sets === 'mechanism')
    return adjuster.guide_done === 0 ? adjuster.kind_label : `${adjuster.guide_done} of ${adjuster.guide.length} steps`;
  if (adjuster.at_say === null) return adjuster.thread === null ? 'not looked at yet' : 'thread not measured';
  return adjuster.thread === null ? adjuster.at_say : `${adjuster.at_say} of ${shortLength(adjuster.travel_mm)}`;
};

const reserve = (adjuster: Adjuster): string => {
  if (adjuster.sets === 'mechanism') return 'set by its own steps';
  if (adjuster.sets === 'nothing') return '';
  if (adjuster.room_say === null) return 'no reserve claimed';
  return adjuster.healthy
    ? `${adjuster.room_say.replace(' of thread', '')} left ${adjuster.room_way}`
    : 'outside its zone';
};

const reach = (adjuster: Adjuster): string => {
  if (adjuster.cover === null)
    return adjuster.minutes === 0 ? adjuster.tools : `${adjuster.minutes} min, ${adjuster.tools}`;
  return adjuster.cover_off ? `${adjuster.cover} off` : `${adjuster.cover} on, ${adjuster.minutes} min`;
};

const Bar = ({ adjuster }: { adjuster: Adjuster }) => {
  const share = (value: number) => `${Math.min(100, Math.max(0, (100 * value) / adjuster.travel_mm))}%`;
  return (
    <Box
      position="relative"
      height="10px"
      marginBlock="1"
      borderWidth="thin"
      borderColor="graphite.edge"
      borderRadius="2px"
      bg="sheet"
      maxWidth="36"
      aria-hidden="true"
    >
      <Box
        position="absolute"
        insetBlock="0"
        left={share(adjuster.healthy_from_mm)}
        width={share(adjuster.healthy_to_mm - adjuster.healthy_from_mm)}
        bg="petrol.wash"
      />
      {adjuster.at_mm !== null && (
        <>
          <Box
            position="absolute"
            top="3px"
            height="2px"
            left="0"
            width={share(adjuster.at_mm)}
            bg={adjuster.healthy ? 'ink' : 'found'}
          />
          <Box
            position="absolute"
            top="-3px"
            bottom="-3px"
            width="3px"
            left={share(adjuster.at_mm)}
            bg={adjuster.healthy ? 'ink' : 'found'}
          />
        </>
      )}
      {adjuster.home_mm !== null && adjuster.touched && (
        <Box
          position="absolute"
          top="9px"
          left={`calc(${share(adjuster.home_mm)} - 4px)`}
          borderInlineWidth="4px"
          borderInlineColor="transparent"
          borderBottomWidth="6px"
          borderBottomColor="found"
        />
      )}
    </Box>
  );
};
