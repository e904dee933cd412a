import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { Problem } from '../../api/client';
import { type Complaint, complaintQuery } from '../../api/complaints';
import { Button, Chip, LinkButton, Paper, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { MachineTag } from '../../components/MachineTag';
import { Mark } from '../../components/Marks';
import { Refusal } from '../../components/Refusal';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { inSentence } from '../../lib/inSentence';
import { useSignedIn } from '../../lib/signedIn';
import { moment } from '../../lib/time';
import { Answered } from './Answered';
import { CauseList } from './CauseList';
import { NextLook } from './NextLook';
import { OtherLooks } from './OtherLooks';
import { type Looking, useLooking } from './useLooking';

/** One complaint on the way to its cause: what to look at next, and the causes in order. */
export default function ComplaintScreen() {
  const { id = '' } = useParams();
  const [found] = useSearchParams();
  const byPhone = found.get('phone') === '1';
  const { data, error, refetch } = useQuery({
    ...complaintQuery(id, byPhone),
    placeholderData: (before) => before,
  });
  const missing = error instanceof Problem && error.status === 404;
  return (
    <Frame>
      {data !== undefined ? (
        <Whole complaint={data} byPhone={byPhone} />
      ) : error !== null ? (
        <Failure error={missing ? new Problem(404, 'No such complaint is known here.') : error} retry={() => refetch()}>
          <LinkButton to="/causes" look="quiet" textDecoration="none">
            Find the cause
          </LinkButton>
        </Failure>
      ) : (
        <Loading what="the complaint" />
      )}
    </Frame>
  );
}

const Whole = ({ complaint, byPhone }: { complaint: Complaint; byPhone: boolean }) => {
  const looking = useLooking(complaint, byPhone);
  const isOpen = complaint.closed_at === null;
  return (
    <>
      <Head complaint={complaint} byPhone={byPhone} isOpen={isOpen} />
      {looking.error !== null && <Refusal error={looking.error} />}
      <Grid templateColumns={{ base: '1fr', lg: '1fr {sizes.96}' }} gap="4" alignItems="start">
        <Flex direction="column" gap="4" minWidth="0">
          {isOpen && (complaint.stopped_by.length > 0 || complaint.against_running.length > 0) && (
            <DoNotRun complaint={complaint} />
          )}
          {!isOpen ? (
            <Was complaint={complaint} />
          ) : isWaiting(looking) ? (
            <Waiting />
          ) : (
            <NextLook complaint={complaint} looking={looking} />
          )}
          {isOpen && <OtherLooks complaint={complaint} looking={looking} open={looking.isCut} />}
          <Answered complaint={complaint} looking={looking} />
        </Flex>
        <CauseList complaint={complaint} looking={looking} />
      </Grid>
    </>
  );
};

const Head = ({ complaint, byPhone, isOpen }: { complaint: Complaint; byPhone: boolean; isOpen: boolean }) => {
  const [, setFound] = useSearchParams();
  const person = useSignedIn();
  return (
    <Flex alignItems="center" gap="4" marginBottom="4" flexWrap="wrap">
      <Link to={`/machines/${encodeURIComponent(complaint.tag)}#${complaint.control}`}>
        <MachineTag tag={complaint.tag} />
      </Link>
      <Box marginRight="auto">
        <Title tag={complaint.tag}>Find the cause</Title>
        <Box color="soft">
          {complaint.control_name}, {complaint.machine}. Taken {moment(complaint.opened_at)} by {complaint.opened_by}
          {complaint.words === null ? '' : `: “${complaint.words}”`}
        </Box>
      </Box>
      <Paper href={`/api/complaints/${complaint.id}/sheet`} look="quiet" textDecoration="none" data-screen-only>
        Print
      </Paper>
      {isOpen && person.may_log && (
        <Button
          look={byPhone ? 'dark' : 'quiet'}
          aria-pressed={byPhone}
          onClick={() => setFound(byPhone ? {} : { phone: '1' }, { replace: true })}
          data-by-phone
        >
          On the telephone
        </Button>
      )}
    </Flex>
  );
};

const DoNotRun = ({ complaint }: { complaint: Complaint }) => (
  <Sheet padding="4" tone="stop" aria-label="Do not run" data-stopped>
    <Chip tone="stop">
      <Mark kind="tag" onDark />
      Do not run
    </Chip>
    {complaint.stopped_by.length > 0 && (
      <Box marginTop="2" fontWeight="bold" data-stopped-by>
        {complaint.stopped_by.map((one, place) => (place === 0 ? one : inSentence(one))).join('; ')}.
      </Box>
    )}
    {complaint.against_running.map((one) => (
      <Box key={one} marginTop="2" data-against>
        {one}
      </Box>
    ))}
    <Box marginTop="2">
      {complaint.stopped_by.length > 0
        ? 'Until its cause is found and put right. A job on the control can tag it.'
        : 'Until that is put right. No look that runs the machine is proposed.'}
    </Box>
  </Sheet>
);

const Was = ({ complaint }: { complaint: Complaint }) => (
  <Sheet padding="4" aria-label="What it was" data-was>
    <Heading as="h2" fontSize="xl">
      It was: {complaint.was ?? 'not found'}
    </Heading>
    <Box color="soft" marginTop="1">
      Said {complaint.closed_at === null ? '' : moment(complaint.closed_at)} by {complaint.closed_by}.
    </Box>
    <LinkButton
      to={`/machines/${encodeURIComponent(complaint.tag)}`}
      look="plain"
      textDecoration="none"
      marginTop="3"
      data-primary
    >
      To the machine
    </LinkButton>
  </Sheet>
);

/** What was answered without network may change what comes next, and only the server works that out. */
const isWaiting = (looking: Looking): boolean =>
  looking.isCut && looking.kept.some((one) => one.entry.state === 'waiting');

const Waiting = () => (
  <Sheet padding="4" borderColor="ink" aria-label="No connection" data-next="waiting">
    <Box textStyle="eyebrow">No connection</Box>
    <Heading as="h2" fontSize="2xl" marginTop="1">
      Your answers are kept here
    </Heading>
    <Box fontSize="lg" lineHeight="snug" marginTop="1">
      What to look at next is worked out when the network is back. Whatever you look at meanwhile can be answered below.
    </Box>
  </Sheet>
);

export type { Looking };
