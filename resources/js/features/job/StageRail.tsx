import { Box, chakra, Flex } from '@chakra-ui/react';
import type { BenchState, Stage } from '../../api/jobs';
import { StageDisc } from '../../components/Marks';
import { LINE_BELOW_ONE } from '../../theme/forced';
import { useBench } from './useBench';
import { WayHome } from './WayHome';

const Step = chakra('button');

/** Six stages, one after the other; any of them can be looked at again. */
export const StageRail = () => {
  const { state } = useBench();
  return (
    <Flex
      as="nav"
      aria-label="Stages of the job"
      order={{ base: 0, lg: 0 }}
      direction={{ base: 'row', lg: 'column' }}
      bg="well"
      borderRightWidth={{ lg: 'thin' }}
      borderColor="line"
      minHeight="0"
      overflow="auto"
      paddingBlock={{ base: '0', lg: '3' }}
    >
      {shown(state).map((stage) => (
        <StageStep key={stage.key} stage={stage} />
      ))}
      <Box display={{ base: 'none', lg: 'block' }} padding="4" paddingTop="6">
        <WayHome />
      </Box>
    </Flex>
  );
};

/** A check passes over some of them. */
const shown = (state: BenchState) =>
  state.check?.on === true ? state.stages.filter((stage) => stage.items.length > 0) : state.stages;

const StageStep = ({ stage }: { stage: Stage }) => {
  const { state, viewed, view } = useBench();
  const current = stage.key === state.stage && state.closed === null;
  const looked = stage.key === viewed;
  return (
    <Step
      type="button"
      onClick={() => view(stage.key)}
      aria-current={looked ? 'step' : undefined}
      data-stage={stage.key}
      display="flex"
      gap="3"
      alignItems="flex-start"
      justifyContent={{ base: 'center', lg: 'flex-start' }}
      flex={{ base: '1', lg: '0 0 auto' }}
      textAlign="left"
      cursor="pointer"
      paddingInline={{ base: '1', lg: '4' }}
      paddingBlock={{ base: '2', lg: '3' }}
      minHeight="touch"
      bg={looked ? 'sheet' : 'transparent'}
      borderLeftWidth={{ base: '0', lg: '5px' }}
      borderBottomWidth={{ base: '4px', lg: '0' }}
      borderColor={looked ? (current ? 'action' : 'ink') : 'transparent'}
      css={LINE_BELOW_ONE}
      _hover={{ bg: 'sheet' }}
      _focusVisible={{ outlineOffset: '-3px' }}
    >
      <StageDisc number={shown(state).indexOf(stage) + 1} state={current ? 'current' : stage.done ? 'done' : 'ahead'} />
      <Box
        minWidth="0"
        position={{ base: 'absolute', lg: 'static' }}
        width={{ base: '1px', lg: 'auto' }}
        height={{ base: '1px', lg: 'auto' }}
        overflow={{ base: 'hidden', lg: 'visible' }}
        clipPath={{ base: 'inset(50%)', lg: 'none' }}
      >
        <Box fontFamily="heading" fontWeight="bold" fontSize="lg" lineHeight="1.4">
          {stage.title}
        </Box>
        <Box textStyle="small">{stage.summary}</Box>
      </Box>
    </Step>
  );
};
