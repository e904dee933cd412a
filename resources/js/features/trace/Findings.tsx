import { Box, Flex, Heading } from '@chakra-ui/react';
import type { TraceView } from '../../api/traces';
import { Sheet } from '../../components/Buttons';
import { Mark } from '../../components/Marks';

/** What the curve tells, the play first; a fault carries its mark. */
export const Findings = ({ view }: { view: TraceView }) => (
  <Sheet padding="4" aria-label="Read from the curve">
    <Heading as="h2" fontSize="lg">
      Read from the curve
    </Heading>
    {view.findings.map((one, n) => (
      <Box
        // biome-ignore lint/suspicious/noArrayIndexKey: two snags differ by their place alone, and the list is never put in another order
        key={n}
        borderTopWidth="thin"
        borderColor="line"
        marginTop="2"
        paddingTop="2"
        data-finding={one.key}
      >
        <Box textStyle="small">{one.label}</Box>
        <Flex alignItems="center" gap="2">
          {one.fault && <Mark kind="tag" />}
          <Box textStyle="figure" fontSize="xl" fontWeight="bold" color={one.fault ? 'stop' : 'ink'}>
            {one.figure}
          </Box>
        </Flex>
        <Box lineHeight="snug">{one.sentence}</Box>
      </Box>
    ))}
  </Sheet>
);
