import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { lazy, useState } from 'react';
import { shelfQuery, shows } from '../../../api/shelf';
import { Button } from '../../../components/Buttons';
import { Fetched } from '../../../components/Fetched';
import { Mark } from '../../../components/Marks';
import type { OnWire } from './SerialDialog';
import { hasSerial, serialGauge, useSerialGauge } from './useSerialGauge';

const SerialDialog = lazy(() => import('./SerialDialog'));

type SpeaksProps = { name: string; trouble: string | null; onStop: () => void; mark: string };

/** What the next press of its button does is plain: it is logged here. */
export const Speaks = ({ name, trouble, onStop, mark }: SpeaksProps) => (
  <Flex
    alignItems="center"
    gap="2"
    bg={trouble === null ? 'yellow.tag' : 'violet.wash'}
    color={trouble === null ? 'onVivid' : undefined}
    borderRadius="sm"
    paddingLeft="2"
    lineHeight="snug"
    minHeight="touch"
    data-speaks={mark}
  >
    <Mark kind={trouble === null ? 'now' : 'cant_tell'} size="text" />
    <Box flex="1" minWidth="0" role="status">
      <b>{name} speaks here</b>
      {trouble !== null && <Box fontSize="sm">{trouble}</Box>}
    </Box>
    <Button look="link" onClick={onStop} aria-label={`Stop: ${name} speaks here no more`}>
      Stop
    </Button>
  </Flex>
);

/** What a gauge on a wire of this device does, once it is connected. */
export const OnThisDevice = () => {
  const { wire, trouble } = useSerialGauge();
  if (wire !== null)
    return (
      <Speaks name={wire.name} trouble={trouble} onStop={() => void serialGauge.disconnect()} mark="this-device" />
    );
  return trouble === null ? null : (
    <Box fontSize="sm" lineHeight="snug" role="alert" data-serial-trouble>
      {trouble}
    </Box>
  );
};

type ConnectProps = { choices: readonly OnWire[]; chosen: string | undefined; withForces: boolean };

/** Connects one, where the browser can; force gauges stand on the shop's shelf and not on the job's, since no play is read with them. */
export const Connect = ({ choices, chosen, withForces }: ConnectProps) => {
  const { wire } = useSerialGauge();
  const [open, setOpen] = useState(false);
  const { data } = useQuery({ ...shelfQuery, enabled: open && withForces });
  if (!hasSerial() || wire !== null) return null;
  const forces = (data?.instruments ?? [])
    .filter((one) => shows(one.kind) === 'N')
    .map(({ id, name }) => ({ id, name, dimension: 'force' as const }));
  const all = [...choices, ...forces];
  return (
    <>
      <Button look="plain" fontSize="sm" paddingInline="3" onClick={() => setOpen(true)} data-serial>
        On a line of this device
      </Button>
      {open && all.length > 0 && (
        <Fetched onClose={() => setOpen(false)}>
          <SerialDialog choices={all} chosen={chosen} onClose={() => setOpen(false)} />
        </Fetched>
      )}
    </>
  );
};
