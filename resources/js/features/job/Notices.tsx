import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useSyncExternalStore } from 'react';
import { peopleQuery } from '../../api/people';
import { Button, LinkButton } from '../../components/Buttons';
import { Caution } from '../../components/Caution';
import { Mark, type MarkKind } from '../../components/Marks';
import { HowItStood } from '../../components/NoConnection';
import { HowItRuns } from '../../components/WrongClock';
import { deviceClock } from '../../lib/deviceClock';
import { inSentence } from '../../lib/inSentence';
import { outbox } from '../../lib/outbox';
import { useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';
import { items } from './asks';
import { useBench, useOutboxStatus } from './useBench';

/** What a person should know before trusting the figures: failed gates, warnings, and what is not sent yet. */
export const Notices = () => {
  const { state, job } = useBench();
  const { kept, connection } = useOutboxStatus();
  const person = useSignedIn();
  const theirs = useKept(outbox.entries).filter((entry) => entry.by !== person.id && entry.state === 'waiting');
  const whose = [...new Set(theirs.map((entry) => entry.by))];
  // Without network the sign-in name has to do.
  const { data } = useQuery({ ...peopleQuery, enabled: whose.length > 0 });
  const nameOf = (login: string) => data?.people.find((one) => one.login === login)?.name ?? login;
  const countOf = (login: string) => theirs.filter((entry) => entry.by === login).length;
  const waiting = kept.filter((entry) => entry.state === 'waiting').length;
  const failed = state.gates.filter((gate) => gate.status === 'failed');
  const open = state.closed === null ? failed : [];
  const homeless = useSyncExternalStore(outbox.entries.subscribe, () => outbox.entries.loose().length);
  const loose = connection === 'cut' ? homeless : 0;
  // The control may be right: what is wrong elsewhere keeps nobody from signing it.
  const isSigned = state.asks === 'sign_off';
  const unchecked = state.spec.checked_by === null;
  const wrong = job.heat_again ?? state.wrong_state;
  const left = [job.spec_changed, job.lies].filter((one) => one !== null);
  const off = useKept(deviceClock);
  const quiet = off === null && [open, job.do_not_run, state.warnings, theirs].every((one) => one.length === 0);
  if (!unchecked && connection !== 'cut' && quiet && wrong === null && left.length === 0 && job.safe_again === null) {
    return null;
  }
  return (
    <Flex direction="column" gap="2" role="status">
      {connection === 'cut' && (
        <Notice mark="cant_tell" ground="violet.wash">
          <b>No connection.</b> <HowItStood />{' '}
          {waiting === 0
            ? 'What you log is kept here and sent on return.'
            : `${waiting === 1 ? 'One entry is' : `${waiting} entries are`} kept, not judged yet.`}
        </Notice>
      )}
      {off !== null && (
        <Notice mark="found" ground="amber.wash">
          <HowItRuns off={off} />
        </Notice>
      )}
      {loose > 0 && (
        <Notice mark="tag" ground="red.wash">
          <b>This device has no room left.</b> {loose === 1 ? 'One entry lives' : `${loose} entries live`} in this page
          alone. Do not close it until all is saved.
        </Notice>
      )}
      {whose.map((login) => (
        <Notice key={login} mark="cant_tell" ground="violet.wash">
          <span data-theirs={login}>
            {countOf(login) === 1 ? 'One entry of ' : 'Entries of '}
            <b>{nameOf(login)}</b> {countOf(login) === 1 ? 'waits' : 'wait'} on this device until {nameOf(login)} signs
            in here again.
          </span>
        </Notice>
      ))}
      {job.safe_again !== null && (
        <span data-safe-again>
          <Caution>{job.safe_again}</Caution>
        </span>
      )}
      {open.map((gate) => (
        <Notice key={gate.key} mark="tag" ground="red.wash">
          <b>Do not run.</b> {gate.sentence}
        </Notice>
      ))}
      {job.do_not_run.map((one, place) => (
        <Notice key={one.sentence} mark="tag" ground="red.wash">
          <span data-do-not-run>
            {isSigned && <b>The machine is not to be run. </b>}
            {one.sentence}
          </span>
          <Flex marginTop="2">
            <LinkButton
              look={place === 0 && !isSigned ? 'vivid' : 'plain'}
              size="small"
              textDecoration="none"
              data-primary={place === 0 && !isSigned ? true : undefined}
              to={one.job === null ? `/machines/${job.machine.tag}` : `/jobs/${one.job}`}
            >
              {one.job === null ? 'Open the machine' : 'Open that job'}
            </LinkButton>
          </Flex>
        </Notice>
      ))}
      {left.map((one) => (
        <Notice key={one} mark="cant_tell" ground="amber.wash">
          <span data-left-open>{one}</span>
        </Notice>
      ))}
      {wrong !== null && <WrongState sentence={wrong} all={job.heat_again !== null} />}
      {unchecked && (
        <Notice mark="cant_tell" ground="violet.wash">
          <span data-unchecked>
            <b>Not checked by a second person.</b> Hold its figures against {state.spec.source} yourself.
          </span>
        </Notice>
      )}
      {state.warnings.map((warning) => (
        <Notice key={warning} mark="found" ground="amber.wash">
          {warning}
        </Notice>
      ))}
    </Flex>
  );
};

/** Said before it is read, with the ways to say that it stands right now. */
const WrongState = ({
  sentence,
  all,
}: {
  sentence: string /** Whether nobody knows how it stands. */;
  all: boolean;
}) => {
  const { state, send, mayWrite } = useBench();
  const answers = items(state).find((one) => one.topic === 'condition')?.answers ?? [];
  return (
    <Notice mark="cant_tell" ground="amber.wash">
      <span data-wrong-state>{sentence}</span>
      {mayWrite && (
        <Flex gap="2" wrap="wrap" marginTop="2">
          {answers
            .filter((one) => all || one.tone === 'right')
            .map((one) => (
              <Button key={one.word} look="plain" onClick={() => send({ kind: one.kind, body: one.body })}>
                Now: {inSentence(one.label)}
              </Button>
            ))}
        </Flex>
      )}
    </Notice>
  );
};

const Notice = ({ mark, ground, children }: { mark: MarkKind; ground: string; children: ReactNode }) => (
  <Flex gap="2" bg={ground} borderRadius="md" padding="3" fontSize="sm" lineHeight="snug">
    <Mark kind={mark} size="text" style={{ marginTop: '1px' }} />
    <Box>{children}</Box>
  </Flex>
);
