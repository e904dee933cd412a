import { Box, Flex } from '@chakra-ui/react';
import type { CheckTold } from '../../api/shelf';
import { Mark } from '../../components/Marks';

/** What a check tells, in its sentences. */
export const Told = ({ told }: { told: CheckTold }) => (
  <Flex direction="column" gap="1" marginTop="1" data-told={told.kind}>
    {told.says.map((sentence, n) => (
      <Flex key={sentence} gap="2" alignItems="baseline" lineHeight="snug">
        {n === 0 && <Mark kind="now" size="text" />}
        <Box fontWeight={n === 0 ? 'bold' : 'normal'}>{sentence}</Box>
      </Flex>
    ))}
  </Flex>
);
