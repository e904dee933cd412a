import { Box, Heading } from '@chakra-ui/react';
import type { BenchRow } from '../../api/bench';
import { LinkButton, Sheet } from '../../components/Buttons';
import { moment } from '../../lib/time';
import { placeOf } from './place';

/** The job somebody put down last, one tap away. */
export const CarryOn = ({ row }: { row: BenchRow }) => (
  <Sheet tone="vivid" padding="4">
    <Box textStyle="eyebrow" color="actionText">
      Carry on
    </Box>
    <Heading as="h2" fontSize="2xl" marginTop="1">
      {row.tag} {row.control.name.toLowerCase()}
    </Heading>
    <Box marginTop="2" lineHeight="snug" _firstLetter={{ textTransform: 'uppercase' }}>
      {row.control.next}
    </Box>
    <Box textStyle="small" marginTop="1">
      Left {moment(row.control.at ?? '')} by {row.control.by}
    </Box>
    {row.control.handover !== null && (
      <Box bg="paper.tape" borderRadius="sm" padding="2.5" marginTop="2" lineHeight="snug" data-handover>
        {row.control.handover}
      </Box>
    )}
    <LinkButton to={placeOf(row)} look="vivid" width="100%" marginTop="3" textDecoration="none">
      Open at {row.control.stage}
    </LinkButton>
  </Sheet>
);
