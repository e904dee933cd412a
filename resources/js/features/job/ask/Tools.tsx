import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type GaugeReading, gaugesQuery } from '../../../api/gauges';
import { Button, Field, FieldLabel, LinkButton, Sheet } from '../../../components/Buttons';
import { Mark } from '../../../components/Marks';
import { Modal } from '../../../components/Modal';
import { isNoSize, lengthTyped, lengthUnit, quantity, shortLength, typedIn, unitText } from '../../../lib/figures';
import { useSignedIn } from '../../../lib/signedIn';
import { nowWithOffset } from '../../../lib/time';
import { useWanted } from '../gauges/wanted';
import { useBench } from '../useBench';
import { FitAdjuster } from './FitAdjuster';
import { FitPart } from './FitPart';
import { Handover } from './Handover';
import { MeasureHand } from './MeasureHand';
import { ReplaceCable } from './ReplaceCable';

/** What can be done at any time of a job, beside what is asked now. */
export const Tools = () => {
  const { state, mayWrite, job } = useBench();
  // Nothing is taken in hand before it is safe to.
  if (state.closed !== null || state.stage === 'make_safe') return null;
  return (
    <Sheet
      paddingInline="4"
      paddingBlock="1"
      display="grid"
      // Twice the class: these are stronger than what each button is by itself.
      css={{
        '&& > *': { textAlign: 'start', justifyContent: 'flex-start', borderWidth: '0', borderRadius: '0' },
        '&& > * + *': { borderTopWidth: 'thin', borderColor: 'line' },
      }}
      aria-label="At any time"
      data-tools
    >
      <ReplaceCable />
      {state.beside.can_pull && <PullAndDrag />}
      {state.beside.can_trace && mayWrite && (
        <LinkButton to={`/jobs/${job.id}/pull`} look="link" paddingInline="0" data-pull-curve>
          The pull as a curve
        </LinkButton>
      )}
      <LinkButton
        to={`/machines/${encodeURIComponent(job.machine.tag)}/${job.control.key}/cause`}
        look="link"
        paddingInline="0"
        data-find-cause
      >
        Find the cause
      </LinkButton>
      <MeasureHand />
      <FitPart />
      {mayWrite && <FitAdjuster />}
      {mayWrite && <Handover />}
    </Sheet>
  );
};

const forces = [
  { key: 'lever_pull', label: 'Pulling' },
  { key: 'lever_release', label: 'Letting it back' },
] as const;

const PullAndDrag = () => {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="link" paddingInline="0" onClick={() => setOpen(true)} data-pull-open>
        Pull and drag
      </Button>
      {open && <PullDialog onClose={() => setOpen(false)} />}
    </>
  );
};

type ForceKey = (typeof forces)[number]['key'];

const PullDialog = ({ onClose }: { onClose: () => void }) => {
  const { state, send, job } = useBench();
  const usual = state.beside.pull_at_mm;
  const [typed, setTyped] = useState({ lever_pull: '', lever_release: '' });
  // What a gauge sent is logged under its own id; what is typed over it is not its any more.
  const [sent, setSent] = useState<Partial<Record<ForceKey, GaugeReading>>>({});
  const [at, setAt] = useState(usual === null ? '' : shortLength(usual));
  const distance = lengthTyped(at);
  const wrong = forces.some(({ key }) => isNoSize(typed[key])) || isNoSize(at);
  const ready = forces.every(({ key }) => quantity(typed[key]) !== undefined) && !wrong;
  useWanted('force', (reading) => {
    const empty = forces.find(({ key }) => typed[key].trim() === '')?.key ?? 'lever_release';
    setTyped({ ...typed, [empty]: reading.entered });
    setSent({ ...sent, [empty]: reading });
  });
  const { data: gauges } = useQuery({ ...gaugesQuery(job.id), enabled: useSignedIn().gauges });
  const speaks = gauges?.gauges.find((one) => one.dimension === 'force' && one.here);
  const log = () => {
    for (const { key } of forces) {
      const reading = sent[key];
      send(
        {
          kind: 'measure',
          body: {
            key,
            value: quantity(typedIn(typed[key], 'N')),
            entered: typedIn(typed[key].trim(), 'N'),
            ...(distance === undefined ? {} : { at_mm: distance }),
          },
        },
        reading === undefined ? undefined : { id: reading.id, at: nowWithOffset(new Date(reading.at)) },
      );
    }
    onClose();
  };
  return (
    <Modal
      open
      onClose={onClose}
      title="Pull and drag"
      about="Pull gauge square to the lever at its ball, slowly through the middle of its travel: once pulling, once letting it back, at the same place."
      cancel="Cancel"
      actions={
        <Button look="vivid" disabled={!ready} onClick={log} data-primary>
          Log the pair
        </Button>
      }
    >
      {speaks !== undefined && (
        <Flex gap="2" alignItems="center" marginBottom="3" fontWeight="bold" role="status" data-form-hears>
          <Mark kind="now" size="text" />
          {speaks.name} speaks here: press it while pulling, then while letting back.
        </Flex>
      )}
      <Grid templateColumns="1fr 1fr" gap="3">
        {forces.map(({ key, label }) => (
          <Box key={key}>
            <FieldLabel htmlFor={key}>
              {label}, {unitText('N')}
            </FieldLabel>
            <Field
              id={key}
              inputMode="decimal"
              value={typed[key]}
              onChange={(event) => {
                setTyped({ ...typed, [key]: event.target.value });
                setSent({ ...sent, [key]: undefined });
              }}
              aria-invalid={isNoSize(typed[key])}
            />
          </Box>
        ))}
      </Grid>
      <FieldLabel htmlFor="pull-at" marginTop="3">
        How far from the pivot, in {lengthUnit()}
      </FieldLabel>
      <Field id="pull-at" inputMode="decimal" value={at} onChange={(event) => setAt(event.target.value)} />
      {usual !== null && (
        <Box textStyle="small" marginTop="1">
          The figure of the new cable was taken at {shortLength(usual)} {lengthUnit()}; a pull at another place is
          turned into it by its moment.
        </Box>
      )}
      {wrong && (
        <Box textStyle="small" marginTop="2">
          Type a force, such as 46 or 10.3 lbf, and a distance, such as 120 or 4 3/4 in.
        </Box>
      )}
    </Modal>
  );
};
