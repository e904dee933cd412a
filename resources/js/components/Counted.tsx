import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Sheet } from './Buttons';

/** Rows under one heading that says how many they are; nothing where there are none. */
export const Counted = ({ title, count, children }: { title: string; count: number; children: ReactNode }) =>
  count === 0 ? null : (
    <Box as="section" marginTop="4" aria-label={title}>
      <Flex alignItems="baseline" gap="2" marginBottom="2">
        <Heading as="h2" fontSize="lg">
          {title}
        </Heading>
        <Box color="soft">{count}</Box>
      </Flex>
      <Sheet overflow="hidden">{children}</Sheet>
    </Box>
  );
