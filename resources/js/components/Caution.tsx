import { Box, chakra, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { paint } from '../theme/paint';

/** A caution at the step it belongs to: a striped edge and a triangle, so that it is seen before it is read. */
export const Caution = ({ children, compact = false }: { children: ReactNode; compact?: boolean }) => (
  <Flex gap="2" alignItems="flex-start" bg="paper.tape" borderRadius="sm" overflow="hidden" color="ink" role="note">
    <Box
      alignSelf="stretch"
      width="2"
      flexShrink="0"
      backgroundImage="repeating-linear-gradient(-45deg, {colors.yellow.tag} 0 6px, {colors.graphite.ink} 6px 12px)"
      aria-hidden="true"
    />
    <chakra.svg
      viewBox="0 0 20 18"
      width="4.5"
      height="4"
      flexShrink="0"
      marginTop={compact ? '1.5' : '2.5'}
      aria-hidden="true"
    >
      <path d="M10 1L19 17H1Z" fill={paint['yellow.tag']} stroke={paint.ink} strokeWidth="1.6" strokeLinejoin="round" />
      <path d="M10 6.5V11.5M10 13.7V14.4" stroke={paint.ink} strokeWidth="2" strokeLinecap="round" />
    </chakra.svg>
    <Box paddingBlock={compact ? '1' : '2'} paddingRight="2" fontSize="sm" lineHeight="snug">
      {children}
    </Box>
  </Flex>
);
