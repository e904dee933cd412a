import { Box, Flex, Heading } from '@chakra-ui/react';
import { lazy, useState } from 'react';
import type { Machine, MachineControl } from '../../api/machines';
import { Button, Chip, LinkButton, Paper, Sheet } from '../../components/Buttons';
import { Fetched } from '../../components/Fetched';
import { Mark } from '../../components/Marks';
import { MiniTape } from '../../components/MiniTape';
import { Refusal } from '../../components/Refusal';
import { capital } from '../../lib/capital';
import { bandText, lengthText, lengthUnit } from '../../lib/figures';
import { useSignedIn } from '../../lib/signedIn';
import { due, dueLine, moment } from '../../lib/time';
import { useStartJob } from './useStartJob';

const MeterDialog = lazy(() => import('./MeterDialog'));

type ControlCardProps = { machine: Machine; control: MachineControl; chosen: boolean; onChoose: () => void };

/** One control: how it stands, and the way into its job. */
export const ControlCard = ({ machine, control, chosen, onChoose }: ControlCardProps) => {
  const person = useSignedIn();
  const start = useStartJob(machine.tag, control.key);
  const check = useStartJob(machine.tag, control.key, true);
  const [asking, setAsking] = useState(false);
  const isStopped = control.tag !== null || control.unfit.length > 0;
  return (
    <Sheet
      padding="4"
      tone={isStopped ? 'stop' : 'plain'}
      borderColor={chosen && !isStopped ? 'ink' : undefined}
      aria-label={control.name}
    >
      <Flex justifyContent="space-between" alignItems="baseline" gap="2">
        <Heading as="h2" fontSize="xl">
          {control.name}
        </Heading>
        <Box textStyle="small">
          {control.job !== null
            ? 'in work'
            : control.due_on !== null
              ? dueLine(control.due_in ?? due(control.due_on))
              : ''}
        </Box>
      </Flex>
      <HeldAgainst control={control} />
      <Box minHeight="7" marginBlock="2">
        <Standing control={control} />
      </Box>
      <Flex gap="2" flexWrap="wrap">
        {control.job !== null ? (
          <LinkButton
            to={`/jobs/${control.job}`}
            look={chosen ? 'vivid' : 'plain'}
            textDecoration="none"
            flex="1 1 100%"
          >
            Open at {control.stage}
          </LinkButton>
        ) : (
          person.may_log && (
            <Button
              look={chosen ? 'vivid' : 'plain'}
              flex="1 1 55%"
              onClick={() => (machine.meter.read_today ? start.mutate() : setAsking(true))}
              disabled={start.isPending}
              data-start={control.key}
            >
              {start.isPending ? 'Starting' : 'Start a job'}
            </Button>
          )
        )}
        {person.may_log && control.may_check && (
          <Button
            look="plain"
            flex="1 1 30%"
            onClick={() => check.mutate()}
            disabled={check.isPending}
            data-check={control.key}
          >
            {check.isPending ? 'Starting' : 'Check'}
          </Button>
        )}
        <LinkButton
          to={`/machines/${encodeURIComponent(machine.tag)}/${control.key}/cause`}
          look="quiet"
          textDecoration="none"
          data-cause-of={control.key}
        >
          Find the cause
        </LinkButton>
        {!chosen && (
          <Button look="quiet" onClick={onChoose}>
            Story
          </Button>
        )}
        {chosen && (
          <Paper
            href={`/api/machines/${encodeURIComponent(machine.tag)}/controls/${control.key}/blank`}
            look="quiet"
            textDecoration="none"
            data-screen-only
          >
            Blank sheet
          </Paper>
        )}
      </Flex>
      {asking && (
        <Fetched onClose={() => setAsking(false)}>
          <MeterDialog
            machine={machine}
            onClose={() => setAsking(false)}
            then={{ says: 'start', go: () => start.mutate() }}
          />
        </Fetched>
      )}
      {start.isError && <Refusal error={start.error} />}
      {check.isError && <Refusal error={check.error} />}
    </Sheet>
  );
};

/** Its figure, the rider's wish, and its small tape. */
const HeldAgainst = ({ control }: { control: MachineControl }) => (
  <>
    <Box color="soft" marginBottom="2">
      {control.point_label === null
        ? 'proved by what it does'
        : `${bandText(control.band)} ${lengthUnit()} at the ${control.point_label}`}
      {control.engine !== null && `, ${control.engine}`}
    </Box>
    {control.wish !== null && (
      <Box marginBottom="2" lineHeight="snug" data-wish>
        Rider's wish: <b>{control.wish}</b>
      </Box>
    )}
    {control.point_label !== null && (
      <MiniTape
        width={280}
        band={control.band}
        found={control.found_mm}
        now={control.found_mm === control.now_mm ? null : control.now_mm}
        left={control.left_mm}
      />
    )}
  </>
);

/** What its open job found, and nobody tagged yet. */
const Unfit = ({ found }: { found: readonly string[] }) => (
  <Box marginBottom="2" data-unfit>
    <Chip tone="stop">
      <Mark kind="tag" onDark />
      Do not run
    </Chip>
    <Box marginTop="2" lineHeight="snug">
      {found.join(' ')}
    </Box>
  </Box>
);

const Standing = ({ control }: { control: MachineControl }) => {
  if (control.tag !== null) {
    return (
      <Box>
        <Chip tone="stop">
          <Mark kind="tag" onDark />
          Do not run
        </Chip>
        <Box marginTop="2" lineHeight="snug">
          {control.tag.reason}
        </Box>
        <Box textStyle="small">
          Tagged {moment(control.tag.at)} by {control.tag.by}. A new job that passes, signed by a lead, lifts it.
        </Box>
      </Box>
    );
  }
  if (control.job !== null) {
    return (
      <>
        {control.unfit.length > 0 && <Unfit found={control.unfit} />}
        <Box lineHeight="snug">{control.next === null ? null : capital(control.next)}</Box>
      </>
    );
  }
  if (control.left_at === null) return <Box color="soft">Never worked on here.</Box>;
  const byChoice = control.left_outcome === 'by_choice';
  const left =
    control.left_mm === null ? (byChoice ? 'as it was' : 'fit') : `${lengthText(control.left_mm)} ${lengthUnit()}`;
  return (
    <Box>
      <Flex gap="2" alignItems="center" flexWrap="wrap">
        <Mark kind={byChoice ? 'found' : 'left'} size="small" />
        {control.left_outcome === 'checked' ? 'checked' : 'left'} {left}, {moment(control.left_at)}
        {byChoice && <Chip tone="outside">outside by choice</Chip>}
      </Flex>
      {control.left_open.map((one) => (
        <Box key={one} textStyle="small" lineHeight="snug" marginTop="1" data-left-open>
          {one}
        </Box>
      ))}
    </Box>
  );
};
