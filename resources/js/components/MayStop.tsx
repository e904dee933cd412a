import { Flex } from '@chakra-ui/react';
import { inSentence } from '../lib/inSentence';
import { Mark } from './Marks';

/** What a report may mean by which nobody should run the machine: its words are all that is known of it. */
export const MayStop = ({ meant }: { meant: readonly string[] }) =>
  meant.length === 0 ? null : (
    <Flex gap="1.5" alignItems="flex-start" color="stop" fontWeight="bold" lineHeight="snug" data-may-stop>
      <Mark kind="tag" size="text" style={{ marginTop: '3px' }} />
      <span>Do not run it before somebody has looked: {meant.map(inSentence).join('; ')}.</span>
    </Flex>
  );
