import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Gauge, GaugeReading, GaugeRecording } from '../../../api/gauges';
import type { BenchState } from '../../../api/jobs';
import { Button, LinkButton } from '../../../components/Buttons';
import { Mark } from '../../../components/Marks';
import { Refusal } from '../../../components/Refusal';
import { inSentence } from '../../../lib/inSentence';
import { pullText } from '../../../lib/pullText';
import { clock, nowWithOffset } from '../../../lib/time';
import { useBench } from '../useBench';
import { Connect, OnThisDevice, Speaks } from './OnThisDevice';
import type { Gauges, Why } from './useGauges';
import { hasSerial, useSerialGauge } from './useSerialGauge';

/** A length that this job's shelf does not know could not be logged, and a force only where one is measured. */
const usable = (gauges: readonly Gauge[], { shelf, beside }: BenchState) =>
  gauges.filter((one) =>
    one.dimension === 'force' ? beside.can_pull : shelf.some((held) => held.id === one.instrument),
  );

/** Which gauges speak here, and what came and waits. */
export const Speaking = ({ of }: { of: Gauges }) => {
  const { job, state } = useBench();
  const { gauges, waiting, recordings, why, take, drop, release, unwanted, connected } = of;
  return (
    <Flex direction="column" gap="2" marginTop="2" _empty={{ display: 'none' }} data-gauges>
      {waiting.map((reading) => (
        <Waiting
          key={reading.id}
          reading={reading}
          why={why(reading)}
          onTake={() => take(reading)}
          onDrop={() => drop(reading)}
        />
      ))}
      {recordings.map((one) => (
        <Pulled key={one.trace} job={job.id} recording={one} onDrop={() => unwanted.mutate(one.trace)} />
      ))}
      {usable(gauges, state)
        .filter((one) => one.here)
        .map((one) => (
          <Here key={one.instrument} gauge={one} connected={connected} onStop={() => release.mutate(one.instrument)} />
        ))}
      <OnThisDevice />
    </Flex>
  );
};

/** Those that could speak here: one line until it is asked for, below everything that is used with each reading. */
export const Offered = ({ of }: { of: Gauges }) => {
  const { state, instrument, isLesson } = useBench();
  const { wire } = useSerialGauge();
  const [open, setOpen] = useState(false);
  const ofJob = state.shelf.map(({ id, name }) => ({ id, name, dimension: 'length' as const }));
  const all = usable(of.gauges, state);
  const offered = all.filter((one) => !one.here);
  if (isLesson || (offered.length === 0 && !hasSerial() && of.failed === null)) return null;
  return (
    <Flex direction="column" gap="2" marginTop="2" alignItems="flex-start">
      {(offered.length > 0 || wire === null) && (
        <Button
          look="link"
          minHeight="7"
          paddingInline="0"
          fontSize="sm"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          data-offered
        >
          {all.length > offered.length || wire !== null ? 'Let another gauge speak here' : 'Let a gauge speak here'}
        </Button>
      )}
      {open && (
        <Flex gap="2" wrap="wrap" alignItems="center">
          {offered.map((one) => (
            <Button
              key={one.instrument}
              look="plain"
              fontSize="sm"
              paddingInline="3"
              onClick={() => {
                setOpen(false);
                of.claim.mutate(one.instrument);
              }}
              data-claim={one.instrument}
            >
              {one.name}
            </Button>
          ))}
          <Connect choices={ofJob} chosen={instrument?.id} withForces={state.beside.can_pull} />
        </Flex>
      )}
      {open &&
        offered
          .filter((one) => one.elsewhere !== null)
          .map((one) => (
            <Box key={one.instrument} textStyle="small" lineHeight="snug" data-elsewhere={one.instrument}>
              The {inSentence(one.name)} speaks to {one.elsewhere} now.
            </Box>
          ))}
      {of.failed !== null && <Refusal error={of.failed} />}
    </Flex>
  );
};

const Here = ({ gauge, connected, onStop }: { gauge: Gauge; connected: boolean; onStop: () => void }) => (
  <Speaks
    name={gauge.name}
    trouble={
      gauge.bridge === null || !gauge.there
        ? `${gauge.bridge ?? 'Its computer'} was not heard of in the last minute.`
        : connected
          ? null
          : 'No connection to the server just now.'
    }
    onStop={onStop}
    mark={gauge.instrument}
  />
);

const reasons: Record<Exclude<Why, null>, (reading: GaugeReading, asked: string | null) => string> = {
  late: ({ at }) =>
    `It was pressed at ${clock(nowWithOffset(new Date(at)))} and came late. Is it the reading you want now?`,
  below: () => 'It is below its zero. Set the gauge to zero and press again.',
  asks_otherwise: ({ dimension }, asked) =>
    dimension === 'force'
      ? 'A force is measured at Pull and drag, below: open that, and press again.'
      : asked === null
        ? 'Nothing that is measured is asked now.'
        : `“${asked}” is asked now, and that is not answered by a ${dimension}.`,
  refused_before: () => 'An entry before it was refused. Look at that one first.',
  not_here: ({ name }) => `This job was opened before the ${name} was on the shelf.`,
};

/** What came and was not logged: it is seen until somebody takes it or drops it. */
const Waiting = ({
  reading,
  why,
  onTake,
  onDrop,
}: {
  reading: GaugeReading;
  why: Why;
  onTake: () => void;
  onDrop: () => void;
}) => {
  const { item } = useBench();
  const takeable = why === null || why === 'late';
  return (
    <Box bg="violet.wash" borderRadius="sm" padding="2" role="alert" data-waits={reading.entered}>
      <Flex gap="2" alignItems="baseline">
        <Mark kind="cant_tell" size="text" />
        <Box flex="1">
          <b>
            {reading.name}: {reading.entered}
          </b>{' '}
          waits
        </Box>
      </Flex>
      <Box fontSize="sm" lineHeight="snug" marginTop="1">
        {why === null ? 'It is not logged yet.' : reasons[why](reading, item?.label ?? null)}
        {reading.low_battery && ' Its battery is low.'}
      </Box>
      <Flex gap="2" marginTop="1">
        {takeable && (
          <Button look="dark" onClick={onTake} data-take>
            Log {reading.entered}
          </Button>
        )}
        <Button look="plain" onClick={onDrop} data-drop>
          Discard it
        </Button>
      </Flex>
    </Box>
  );
};

type PulledProps = { job: string; recording: GaugeRecording; onDrop: () => void };

/** A pull that came from a force gauge: it is looked at on the screen of the curve, and kept there. */
const Pulled = ({ job, recording, onDrop }: PulledProps) => (
  <Box bg="violet.wash" borderRadius="sm" padding="2" role="alert" data-pulled={recording.trace}>
    <Flex gap="2" alignItems="baseline">
      <Mark kind="cant_tell" size="text" />
      <Box flex="1" lineHeight="snug">
        <b>{recording.name} recorded a pull:</b> {pullText(recording)}
      </Box>
    </Flex>
    <Flex gap="2" marginTop="1">
      <LinkButton look="dark" to={`/jobs/${job}/pull/${recording.trace}`} textDecoration="none">
        Look at it
      </LinkButton>
      <Button look="plain" onClick={onDrop}>
        Discard it
      </Button>
    </Flex>
  </Box>
);
