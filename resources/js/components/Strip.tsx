import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Mark, type MarkKind } from './Marks';

type Props = { mark: MarkKind; ground: string; about: string; children: ReactNode };

/** Across the page below its head: what holds for the whole screen. */
export const Strip = ({ mark, ground, about, children }: Props) => (
  <Box
    role="status"
    bg={ground}
    data-strip={about}
    data-screen-only
    // Where nothing could be shown, that says why.
    css={{ '&:has(~ main [data-failure])': { display: 'none' } }}
  >
    <Flex
      gap="2"
      alignItems="flex-start"
      maxWidth="page"
      marginInline="auto"
      paddingInline={{ base: '3', md: '5' }}
      paddingBlock="2"
      lineHeight="snug"
    >
      <Mark kind={mark} size="text" style={{ marginTop: '3px' }} />
      <span>{children}</span>
    </Flex>
  </Box>
);
