import { Box, chakra, Flex } from '@chakra-ui/react';
import { Link } from 'react-router';
import { Brand } from '../../components/Brand';
import { FindMachine } from '../../components/FindMachine';
import { MachineTag } from '../../components/MachineTag';
import { PersonMenu } from '../../components/PersonMenu';
import { Title } from '../../components/Title';
import { bandText, counted, lengthUnit } from '../../lib/figures';
import { duration } from '../../lib/time';
import { isOnBars } from '../specs/words';
import { useBench } from './useBench';

/** What is on the bench: machine, control, the figure it is held against, and how it stands. */
export const JobHeader = () => {
  const { job, state } = useBench();
  const bars = isOnBars(state.hand.kind) ? 'bars straight' : null;
  const { machine } = job;
  return (
    <Box as="header" bg="frame" color="onFrame" data-frame>
      <Flex
        alignItems="center"
        columnGap={{ base: '2', lg: '4' }}
        rowGap="2"
        flexWrap="nowrap"
        paddingInline={{ base: '3', lg: '5' }}
        paddingBlock="2"
        minHeight={{ base: '14', lg: '16' }}
      >
        <Flex asChild alignItems="center" minHeight="touch" minWidth="touch">
          <Link to="/" aria-label="Vivid Pull, to the Bench">
            <Brand size="8" />
          </Link>
        </Flex>
        <Flex asChild alignItems="center" minHeight="touch" textDecoration="none">
          <Link to={`/machines/${encodeURIComponent(machine.tag)}`} aria-label={`Machine ${machine.tag}`}>
            <MachineTag tag={machine.tag} stop={state.tag !== null} />
          </Link>
        </Flex>
        <Box minWidth="0" flex={{ base: '1 1 {sizes.32}', lg: '0 1 auto' }}>
          <Title tag={machine.tag} fontSize={{ base: 'lg', lg: 'xl' }}>
            {job.control.name}
          </Title>
          <Box fontSize="sm" color="onFrameSoft" lineHeight="snug" display={{ base: 'none', md: 'block' }}>
            {machine.name} · {counted(machine.usage)} {machine.usage_unit}
          </Box>
          <Box fontSize="sm" color="onFrameSoft" lineHeight="snug" display={{ base: 'block', md: 'none' }}>
            {state.spec.point === null
              ? state.family.title
              : `${bandText(state.spec.band)} ${lengthUnit()}, ${state.spec.point_label}`}
          </Box>
        </Box>
        <Box flex="1" display={{ base: 'none', lg: 'block' }} />
        <Plate title={state.spec.say} hideOnPhone>
          {state.wish === null
            ? [state.spec.engine, bars, state.spec.source].filter(Boolean).join(' · ')
            : `Rider: ${state.wish.say}`}
        </Plate>
        <Condition />
        <Box width="44" display={{ base: 'none', xl: 'block' }}>
          <FindMachine />
        </Box>
        <PersonMenu />
      </Flex>
    </Box>
  );
};

const Plate = ({
  title,
  children,
  hideOnPhone = false,
}: {
  title: string;
  children: string;
  hideOnPhone?: boolean;
}) => (
  <Box
    display={hideOnPhone ? { base: 'none', md: 'block' } : 'block'}
    borderWidth="thin"
    borderColor="graphite.edge"
    borderRadius="md"
    paddingInline="3"
    paddingBlock="1"
    minWidth="0"
    maxWidth={{ md: '60', lg: '96' }}
  >
    <Box fontWeight="bold" fontSize="sm" lineHeight="snug" truncate title={title}>
      {title}
    </Box>
    <Box fontSize="xs" color="onFrameSoft" lineHeight="snug" truncate title={children}>
      {children}
    </Box>
  </Box>
);

const Turn = chakra('button');

/** How it stands now; tapped, it asks again. */
const Condition = () => {
  const { job, state, turnTo, mayWrite } = useBench();
  const stood = job.machine.stood_minutes;
  if (state.spec.point === null) return null;
  // Where the figure holds in any state nobody is asked, and there is nothing to change.
  const asked = state.stages.some((stage) => stage.items.some((item) => item.topic === 'condition'));
  const words = state.condition?.label ?? (asked ? 'Not said yet' : 'Any state');
  const plate = (
    <Plate title={words} hideOnPhone>
      {stood === null ? 'engine not noted' : `stood ${duration(stood)}`}
    </Plate>
  );
  return mayWrite && asked ? (
    <Turn
      type="button"
      textAlign="left"
      cursor="pointer"
      onClick={() => turnTo('condition')}
      title="Change how it stands"
      display={{ base: 'none', md: 'block' }}
    >
      {plate}
    </Turn>
  ) : (
    plate
  );
};
