import { Box, chakra, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { LINE_BELOW_ONE } from '../theme/forced';
import { Brand } from './Brand';
import { FindMachine } from './FindMachine';
import { NoConnection } from './NoConnection';
import { PersonMenu } from './PersonMenu';
import { WrongClock } from './WrongClock';

const places = [
  { to: '/', name: 'Bench' },
  { to: '/machines', name: 'Machines' },
  { to: '/causes', name: 'Find the cause', onPhone: 'Cause' },
  { to: '/due', name: 'Due' },
  { to: '/specs', name: 'Specs' },
  { to: '/shelf', name: 'Shelf' },
  { to: '/practice', name: 'Practice' },
] as const;

const Skip = chakra('a');
const Place = chakra(NavLink);

/** The dark frame round every screen: where one is, and the line that jumps to a machine. */
export const Frame = ({ children }: { children: ReactNode }) => (
  <Flex direction="column" minHeight="100dvh">
    <Skip
      href="#content"
      position="absolute"
      left="2"
      top="-40"
      bg="sheet"
      padding="3"
      borderRadius="md"
      zIndex="popover"
      _focus={{ top: '2' }}
    >
      Skip to the content
    </Skip>
    <Box as="header" bg="frame" color="onFrame" data-frame data-screen-only>
      <Flex
        alignItems="center"
        columnGap={{ base: '3', md: '6' }}
        rowGap="1"
        flexWrap="wrap"
        maxWidth="page"
        marginInline="auto"
        paddingInline={{ base: '3', md: '5' }}
        paddingBlock="2"
        minHeight="16"
      >
        <Flex
          asChild
          alignItems="center"
          gap="3"
          fontFamily="heading"
          fontWeight="bold"
          fontSize="xl"
          minHeight="touch"
          textDecoration="none"
        >
          <Link to="/" aria-label="Vivid Pull, to the Bench">
            <Brand />
            <chakra.span display={{ base: 'none', sm: 'inline' }}>Vivid Pull</chakra.span>
          </Link>
        </Flex>
        <Places />
        <Box flex={{ base: '1 1 0', lg: '1 1 {sizes.48}' }} minWidth="0" maxWidth={{ lg: '88' }} marginLeft="auto">
          <FindMachine />
        </Box>
        <Box>
          <PersonMenu />
        </Box>
      </Flex>
    </Box>
    <NoConnection />
    <WrongClock />
    <chakra.main
      id="content"
      flex="1"
      width="100%"
      maxWidth="page"
      marginInline="auto"
      padding={{ base: '3', md: '5' }}
      tabIndex={-1}
      outline="0"
    >
      {children}
    </chakra.main>
  </Flex>
);

const Places = () => (
  // Where there is little width they have a line of their own, below what finds a machine.
  <chakra.nav
    display="flex"
    columnGap={{ base: '2', sm: '3', md: '6' }}
    flexWrap="wrap"
    flex={{ base: '1 0 100%', lg: '0 1 auto' }}
    justifyContent={{ base: 'space-between', md: 'flex-start' }}
    order={{ base: 1, lg: 0 }}
    aria-label="Screens"
  >
    {places.map((place) => (
      <Place
        key={place.to}
        to={place.to}
        end={place.to === '/'}
        fontFamily="heading"
        fontWeight="bold"
        fontSize={{ base: 'md', sm: 'lg' }}
        color="onFrameSoft"
        display="inline-flex"
        alignItems="center"
        minHeight="touch"
        borderBottomWidth="3px"
        borderColor="transparent"
        textDecoration="none"
        css={{
          '&[aria-current]': { color: 'onFrame', borderColor: 'vivid.onDark' },
          '&:hover': { color: 'onFrame' },
          ...LINE_BELOW_ONE,
        }}
      >
        {'onPhone' in place ? (
          <>
            <chakra.span display={{ base: 'none', sm: 'inline' }}>{place.name}</chakra.span>
            <chakra.span display={{ base: 'inline', sm: 'none' }}>{place.onPhone}</chakra.span>
          </>
        ) : (
          place.name
        )}
      </Place>
    ))}
  </chakra.nav>
);
