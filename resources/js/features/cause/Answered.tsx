import { Box, Flex, Heading } from '@chakra-ui/react';
import type { Complaint } from '../../api/complaints';
import { Button, Sheet } from '../../components/Buttons';
import { moment } from '../../lib/time';
import type { Looking } from './useLooking';

/** What was answered here, and what an open job knows by itself. */
export const Answered = ({ complaint, looking }: { complaint: Complaint; looking: Looking }) => {
  const { answers, diagnosis } = complaint;
  const said = new Map(answers.map((one) => [one.about, one]));
  const latest = answers.filter((one) => said.get(one.about) === one && one.kind !== 'back');
  const known = diagnosis.checks.filter(
    (one) => one.words !== null && !latest.some((given) => given.about === one.key),
  );
  return (
    <Sheet padding="4" aria-label="What is known">
      <Heading as="h2" fontSize="lg" marginBottom="1">
        What is known
      </Heading>
      {latest.map((one) => (
        <Flex
          key={one.id}
          alignItems="center"
          gap="3"
          borderTopWidth="thin"
          borderColor="line"
          minHeight="touch"
          data-answered={one.about}
        >
          <Box flex="1" lineHeight="snug" paddingBlock="1">
            {one.label}: <b>{one.says}</b>
            <Box textStyle="small">
              {moment(one.at)} by {one.by}
            </Box>
          </Box>
          {complaint.closed_at === null && (
            <Button
              look="quiet"
              size="small"
              disabled={!looking.may}
              onClick={() => looking.answer('back', one.about)}
              data-back={one.about}
            >
              Take back
            </Button>
          )}
        </Flex>
      ))}
      {known.map((one) => (
        <Box key={one.key} borderTopWidth="thin" borderColor="line" paddingBlock="2" data-known={one.key}>
          {one.label}: <b>{one.words}</b>
          <Box textStyle="small">{one.key === 'story' ? 'By its past jobs' : 'By its open job'}</Box>
        </Box>
      ))}
      {latest.length === 0 && known.length === 0 && <Box color="soft">Nothing yet.</Box>}
    </Sheet>
  );
};
