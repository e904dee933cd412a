import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import type { Item, PoseKey, PoseReading } from '../../../api/jobs';
import { Sheet } from '../../../components/Buttons';
import { MarkShape } from '../../../components/Marks';
import { VerdictChip } from '../../../components/VerdictChip';
import { bandText, change, lengthUnit, withUncertainty } from '../../../lib/figures';
import { paint } from '../../../theme/paint';
import { useBench } from '../useBench';

const Place = chakra('button');

const turns = { straight: 0, left: -34, right: 34 } as const satisfies Record<PoseKey, number>;

/** Play in every pose of the bars, with what was tried there. */
export const Poses = () => {
  const { state } = useBench();
  if (state.poses.length < 2) return <LockedReading />;
  return (
    <Sheet padding="3" aria-label="Poses">
      <Flex justifyContent="space-between" alignItems="baseline" gap="3" marginBottom="2">
        <Heading as="h2" fontSize="lg">
          Bars from stop to stop
        </Heading>
        <Box textStyle="small">
          {bandText(state.spec.band)} {lengthUnit()} in every pose
          {state.working_band !== null &&
            `, so ${bandText({ low_mm: round(state.working_band.low_mm), high_mm: round(state.working_band.high_mm) })} straight`}
        </Box>
      </Flex>
      <Grid templateColumns="repeat(3, 1fr)" gap="2">
        {[...state.poses]
          .sort((a, b) => turns[a.pose] - turns[b.pose])
          .map((pose) => (
            <PoseCard key={pose.pose} pose={pose} />
          ))}
      </Grid>
    </Sheet>
  );
};

const round = (value: number | null) => (value === null ? null : Math.round(value * 10) / 10);

const PoseCard = ({ pose }: { pose: PoseReading }) => {
  const { state, item, turnTo, mayWrite } = useBench();
  const items: readonly Item[] = state.stages.find((stage) => stage.key === 'prove')?.items ?? [];
  const here = items.filter((one) => one.about === pose.pose);
  const due = here.find((one) => !one.done) ?? here[0];
  const asked = item !== null && here.some((one) => one.key === item.key);
  return (
    <Place
      type="button"
      disabled={!mayWrite || due === undefined}
      onClick={() => turnTo(due?.key ?? null)}
      data-pose={pose.pose}
      textAlign="center"
      padding="2"
      borderRadius="md"
      borderWidth="thick"
      borderColor={asked ? 'action' : 'line'}
      bg={asked ? 'vivid.wash' : 'well'}
      cursor={mayWrite ? 'pointer' : 'default'}
    >
      <Bars pose={pose.pose} />
      <Box fontFamily="heading" fontWeight="bold" lineHeight="tight">
        {pose.label}
      </Box>
      <Box textStyle="figure" fontSize={{ base: 'lg', md: 'xl' }} marginBlock="1">
        {pose.mm === null ? '–' : withUncertainty(pose.mm, pose.expanded_mm)}
      </Box>
      <Box fontSize="sm">
        <VerdictChip judged={pose} inAWord />
      </Box>
      {pose.pose !== 'straight' && pose.offset_read && pose.mm !== null && (
        <Box textStyle="small">{change(pose.offset_mm)} against straight</Box>
      )}
      {here
        .filter((one) => one.topic === 'check')
        .map((one) => (
          <Flex key={one.key} justifyContent="center" alignItems="center" gap="1.5" fontSize="sm" marginTop="1">
            <svg viewBox="-8 -8 16 16" width="14" height="14" aria-hidden="true">
              <MarkShape kind={one.failed ? 'wrong' : one.done ? 'inside' : 'to_do'} />
            </svg>
            {one.done ? 'snaps shut' : one.failed ? 'does not snap shut' : 'snap not tried'}
          </Flex>
        ))}
    </Place>
  );
};

/** Handlebar and front wheel from above. */
const Bars = ({ pose }: { pose: PoseKey }) => (
  <chakra.svg viewBox="-64 -46 128 92" width="100%" maxWidth="34" marginInline="auto" aria-hidden="true">
    <path d="M0 6V32" stroke={paint['steel.light']} strokeWidth="16" strokeLinecap="round" />
    <g transform={`rotate(${turns[pose]})`}>
      <rect x="-5" y="-33" width="10" height="26" rx="5" fill={paint['steel.mid']} />
      <path d="M-50 8Q-30 -4 0 -4T50 8" stroke={paint.ink} strokeWidth="6" fill="none" strokeLinecap="round" />
      <path d="M38 4L52 9" stroke={paint.action} strokeWidth="8" strokeLinecap="round" />
      <circle r="5" fill={paint['steel.dark']} cy="-3" />
    </g>
  </chakra.svg>
);

/** A control with one pose: what it is proved at. */
const LockedReading = () => {
  const { state } = useBench();
  return (
    <Sheet padding="4" aria-label="Proved at">
      <Flex justifyContent="space-between" alignItems="center" gap="3" flexWrap="wrap">
        <Box>
          <Heading as="h2" fontSize="lg">
            Proved at
          </Heading>
          <Box textStyle="figure" fontSize="2xl">
            {state.now.mm === null ? '–' : `${withUncertainty(state.now.mm, state.now.expanded_mm)} ${lengthUnit()}`}
          </Box>
          <Box textStyle="small">{state.spec.say}</Box>
        </Box>
        <VerdictChip judged={state.now} />
      </Flex>
    </Sheet>
  );
};
