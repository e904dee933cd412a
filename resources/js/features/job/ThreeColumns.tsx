import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Footer } from './Footer';
import { StageRail } from './StageRail';

/** What is pressed lies under the left hand: the three columns change places, and nothing else. */
const leftHanded = { '@media (min-width: 1080px)': { '& > nav': { order: 3 }, '& > aside': { order: -1 } } };

type Props = { header: ReactNode; centre: ReactNode; hand?: 'left' | 'right'; children: ReactNode };

/** The frame of whatever is worked at the bench: stages, what is worked on, and the next action. */
export const ThreeColumns = ({ header, centre, hand = 'right', children }: Props) => (
  <Flex direction="column" height={{ lg: '100dvh' }} minHeight="100dvh">
    {header}
    <Grid
      as="main"
      id="content"
      flex="1"
      minHeight="0"
      templateColumns={{
        base: '1fr',
        lg: hand === 'left' ? '{sizes.84} 1fr {sizes.rail}' : '{sizes.rail} 1fr {sizes.84}',
      }}
      css={hand === 'left' ? leftHanded : undefined}
      templateRows={{ base: 'auto', lg: '1fr' }}
    >
      <StageRail />
      <Flex
        direction="column"
        display={{ base: 'contents', lg: 'flex' }}
        gap="3"
        padding="3"
        minHeight="0"
        minWidth="0"
        overflowY="auto"
      >
        {centre}
      </Flex>
      <Flex
        as="aside"
        aria-label="Next action"
        direction="column"
        display={{ base: 'contents', lg: 'flex' }}
        gap="3"
        padding="3"
        bg="sheet"
        borderLeftWidth="thin"
        borderColor="line"
        minHeight="0"
        overflowY="auto"
      >
        {children}
      </Flex>
    </Grid>
    <Footer />
  </Flex>
);

/** On a phone the columns fall away and each piece takes its place in one line. */
export const Place = ({ at, children, grow = false }: { at: number; children: React.ReactNode; grow?: boolean }) => (
  <Box
    order={{ base: at, lg: 0 }}
    marginInline={{ base: '3', lg: '0' }}
    marginTop={{ base: '3', lg: '0' }}
    flex={grow ? { lg: '1 1 {sizes.44}' } : { lg: '0 0 auto' }}
    minHeight="0"
    minWidth="0"
    _empty={{ display: 'none' }}
  >
    {children}
  </Box>
);
