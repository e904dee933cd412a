import { Box, Flex } from '@chakra-ui/react';
import { inSentence } from '../lib/inSentence';
import { Mark } from './Marks';

type Reported = { may_stop: readonly string[]; none_stops: boolean };

/** The same of a report; and where its words tell of nothing, whether anybody asked. */
export const ReportStops = ({ may_stop, none_stops }: Reported) =>
  may_stop.length > 0 || none_stops ? (
    <MayStop meant={may_stop} />
  ) : (
    <Box textStyle="small" fontWeight="bold" data-stops-unknown>
      Nobody said whether it is safe to run.
    </Box>
  );

type Props = { meant: readonly string[]; isLookedInto?: boolean };

/** By what nobody should run the machine: what a report may mean, whose words are all that is known, or what is looked into. */
export const MayStop = ({ meant, isLookedInto = false }: Props) =>
  meant.length === 0 ? null : (
    <Flex gap="1.5" alignItems="flex-start" color="stop" fontWeight="bold" lineHeight="snug" data-may-stop>
      <Mark kind="tag" size="text" style={{ marginTop: '3px' }} />
      <span>
        Do not run it{isLookedInto ? '' : ' before somebody has looked'}: {meant.map(inSentence).join('; ')}.
      </span>
    </Flex>
  );
