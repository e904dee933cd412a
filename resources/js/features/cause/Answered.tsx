import { Box, Flex, Heading } from '@chakra-ui/react';
import type { Complaint } from '../../api/complaints';
import { Button, Sheet } from '../../components/Buttons';
import { outbox } from '../../lib/outbox';
import { moment } from '../../lib/time';
import type { KeptAnswer, Looking } from './useLooking';

/** What was answered here, and what an open job knows by itself. */
export const Answered = ({ complaint, looking }: { complaint: Complaint; looking: Looking }) => {
  const { answers, diagnosis } = complaint;
  const said = new Map(answers.map((one) => [one.about, one]));
  const latest = answers.filter((one) => said.get(one.about) === one && one.kind !== 'back');
  const isStuck = looking.kept.some((one) => one.entry.state === 'refused');
  // What is on file nobody answers.
  const known = diagnosis.checks.filter(
    (one) => one.words !== null && !latest.some((given) => given.about === one.key),
  );
  return (
    <Sheet padding="4" aria-label="What is known">
      <Heading as="h2" fontSize="lg" marginBottom="1">
        What is known
      </Heading>
      {looking.kept.map((one) => (
        <Kept key={one.entry.id} complaint={complaint} kept={one} holds={isStuck} />
      ))}
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
          <Box textStyle="small">{one.answers.length === 0 ? 'By its past jobs' : 'By its open job'}</Box>
        </Box>
      ))}
      {latest.length === 0 && known.length === 0 && looking.kept.length === 0 && <Box color="soft">Nothing yet.</Box>}
    </Sheet>
  );
};

const doing = { skip: 'cannot look now', tried: 'put right, and it is still there', back: 'taken back' } as const;

/** An answer that the server does not have yet, or did not take. */
const Kept = ({ complaint, kept, holds }: { complaint: Complaint; kept: KeptAnswer; holds: boolean }) => {
  const { checks, symptoms, causes } = complaint.diagnosis;
  const { kind, about, answer, entry } = kept;
  const check = checks.find((one) => one.key === about);
  const label =
    check?.label ??
    symptoms.find((one) => one.key === about)?.words ??
    causes.find((one) => one.key === about)?.label ??
    about;
  const says =
    kind === 'check' || kind === 'symptom'
      ? (check?.answers.find((one) => one.key === answer)?.label ?? answer)
      : doing[kind];
  const isRefused = entry.state === 'refused';
  const isHeld = holds && !isRefused;
  return (
    <Flex
      alignItems="center"
      gap="3"
      borderTopWidth="thin"
      borderColor="line"
      minHeight="touch"
      bg={isRefused ? 'red.wash' : 'violet.wash'}
      marginInline="-4"
      paddingInline="4"
      data-kept={about}
    >
      <Box flex="1" lineHeight="snug" paddingBlock="1">
        {label}: <b>{says}</b>
        <Box textStyle="small">
          {isRefused
            ? entry.sentence
            : isHeld
              ? 'Waits: one before it was refused'
              : 'Kept on this device, sent when the network is back'}
        </Box>
      </Box>
      <Button look="quiet" size="small" onClick={() => outbox.drop(entry.id)} data-drop={about}>
        Take out
      </Button>
    </Flex>
  );
};
