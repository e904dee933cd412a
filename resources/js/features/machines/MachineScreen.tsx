import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation, useParams } from 'react-router';
import { Problem } from '../../api/client';
import { type Machine, type MachineControl, machineQuery } from '../../api/machines';
import { LinkButton, Sheet } from '../../components/Buttons';
import { Frame } from '../../components/Frame';
import { Later, useFirstInSlices } from '../../components/Later';
import { MachineTag } from '../../components/MachineTag';
import { Mark } from '../../components/Marks';
import { Failure, Loading } from '../../components/States';
import { Title } from '../../components/Title';
import { counted } from '../../lib/figures';
import { duration } from '../../lib/time';
import { LookedFor } from '../bench/LookedFor';
import { ControlCard } from './ControlCard';
import { ControlHistory } from './ControlHistory';
import { IntakeSheet } from './IntakeSheet';
import { MachineActions } from './MachineActions';
import { MoreControls } from './MoreControls';
import { RunAndSpec } from './RunAndSpec';

export default function MachineScreen() {
  const { tag = '' } = useParams();
  const { data: known, error, refetch } = useQuery(machineQuery(tag));
  const data = useFirstInSlices(known);
  const missing = error instanceof Problem && error.status === 404;
  return (
    <Frame>
      {data !== undefined ? (
        <Whole key={data.tag} machine={data} />
      ) : error !== null ? (
        <Failure
          error={missing ? new Problem(404, `No machine hangs under the tag ${tag}.`) : error}
          retry={() => refetch()}
        >
          <LinkButton to="/machines" look="quiet" textDecoration="none">
            All machines
          </LinkButton>
        </Failure>
      ) : (
        <Loading what={tag} />
      )}
    </Frame>
  );
}

const Whole = ({ machine }: { machine: Machine }) => {
  const { hash } = useLocation();
  const [chosen, setChosen] = useState(hash.slice(1));
  const control =
    machine.controls.find((one) => one.key === chosen) ??
    machine.controls.find((one) => one.job !== null) ??
    machine.controls[0];
  const stopped = machine.controls.some((one) => one.tag !== null);
  return (
    <>
      <Flex alignItems="center" gap="4" flexWrap="wrap" marginBottom="4">
        <MachineTag tag={machine.tag} stop={stopped} size="lg" />
        <Box>
          <Title tag={machine.tag}>{machine.name}</Title>
          <Box color="soft">
            {[
              machine.kind,
              machine.year,
              machine.place,
              `${counted(machine.usage)} ${machine.usage_unit}`,
              machine.plate,
            ]
              .filter(Boolean)
              .join(' · ')}
            {machine.stood_minutes !== null && ` · stood ${duration(machine.stood_minutes)}`}
            {machine.meter.replaced && ` · its meter, replaced, says ${counted(machine.meter.face)}`}
            {machine.former_tags.length > 0 && ` · was ${machine.former_tags.join(', ')}`}
          </Box>
        </Box>
        <MachineActions machine={machine} />
      </Flex>
      {machine.controls.length > 1 && <Stopped controls={machine.controls} />}
      {machine.retired && (
        <Sheet tone="well" padding="4" marginBottom="4" role="status">
          <b>Retired:</b> {machine.retired_why}. Its past is kept; no job starts on it.
        </Sheet>
      )}
      <Flex direction="column" gap="4" marginBottom="4" _empty={{ display: 'none' }}>
        {machine.intakes.length > 0 && <IntakeSheet intakes={machine.intakes} tag={machine.tag} />}
        <LookedFor title="Cause being looked for" complaints={machine.complaints} isOfMachine />
      </Flex>
      <Grid templateColumns={{ base: '1fr', lg: '{sizes.82} 1fr' }} gap="4" alignItems="start">
        <Flex direction="column" gap="4" role="group" aria-label="Controls">
          {machine.controls.length > 1 && !machine.retired && (
            <LinkButton
              to={`/machines/${encodeURIComponent(machine.tag)}/service`}
              look="plain"
              textDecoration="none"
              data-service
            >
              Service all {machine.controls.length} controls
            </LinkButton>
          )}
          {machine.controls.map((one) => (
            <ControlCard
              key={one.key}
              machine={machine}
              control={one}
              chosen={one.key === control?.key}
              onChoose={() => setChosen(one.key)}
            />
          ))}
          <MoreControls machine={machine} />
        </Flex>
        {control !== undefined && (
          <Flex direction="column" gap="4" minWidth="0">
            <ControlHistory control={control} usageUnit={machine.usage_unit} />
            <Later>
              <RunAndSpec tag={machine.tag} control={control} />
            </Later>
          </Flex>
        )}
      </Grid>
    </>
  );
};

/** Of several controls, those by which nobody runs the machine: their cards may lie below the view. */
const Stopped = ({ controls }: { controls: readonly MachineControl[] }) => {
  const stopped = controls.filter((one) => one.tag !== null || one.unfit.length > 0);
  return stopped.length === 0 ? null : (
    <Sheet tone="stop" padding="3" marginBottom="4" role="status" data-stopped>
      {stopped.map((one) => (
        <Flex key={one.key} gap="2" alignItems="flex-start" lineHeight="snug">
          <Mark kind="tag" size="text" style={{ marginTop: '3px' }} />
          <span>
            <b>Do not run it. {one.name}:</b> {one.tag?.reason ?? one.unfit.join(' ')}
          </span>
        </Flex>
      ))}
    </Sheet>
  );
};
