import { Box, Flex, Grid } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type GaugeReading, gaugesQuery } from '../../../api/gauges';
import { Button, Field, FieldLabel, LinkButton } from '../../../components/Buttons';
import { Mark } from '../../../components/Marks';
import { Modal } from '../../../components/Modal';
import { PickOne } from '../../../components/PickOne';
import { isNoSize, lengthTyped, lengthUnit, quantity, shortLength, typedIn, unitText } from '../../../lib/figures';
import { useSignedIn } from '../../../lib/signedIn';
import { nowWithOffset } from '../../../lib/time';
import { useWanted } from '../gauges/wanted';
import { useBench } from '../useBench';
import { FitAdjuster } from './FitAdjuster';
import { FitPart } from './FitPart';
import { Handover } from './Handover';

/** What can be done at any time of a job, beside what is asked now. */
export const Tools = () => {
  const { state, mayWrite, job } = useBench();
  // Nothing is taken in hand before it is safe to.
  if (state.closed !== null || state.stage === 'make_safe') return null;
  return (
    <Grid
      templateColumns={{ base: 'repeat(auto-fit, minmax(9.5rem, 1fr))', lg: '1fr' }}
      columnGap="4"
      rowGap="1"
      justifyItems="start"
      css={{ '& > *': { textAlign: 'start', justifyContent: 'flex-start' } }}
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
      <FitPart />
      {mayWrite && <FitAdjuster />}
      {mayWrite && <Handover />}
    </Grid>
  );
};

export const ReplaceCable = ({ vivid = false }: { vivid?: boolean }) => {
  const { state, send } = useBench();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState<string | null>(null);
  const { cables } = state.beside;
  const [cable, setCable] = useState<string | null>(null);
  const under = state.beside.replacing;
  if ((under !== null && !under.over) || state.beside.not_settable !== null) return null;
  return (
    <>
      <Button
        look={vivid ? 'vivid' : 'link'}
        size={vivid ? 'tall' : 'touch'}
        paddingInline={vivid ? undefined : '0'}
        onClick={() => setOpen(true)}
        data-replace={vivid ? undefined : true}
        data-replace-now={vivid || undefined}
        data-primary={vivid && !open ? true : undefined}
      >
        Replace the cable
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title={cables.length > 1 ? 'Which cable, and why?' : 'Why is it replaced?'}
        about="Its steps come next: notes and pictures first, then old and new side by side, before anything is fitted."
        cancel="Cancel"
        actions={
          <Button
            look="vivid"
            disabled={reason === null || (cables.length > 1 && cable === null)}
            onClick={() => {
              send({
                kind: 'replacing',
                body: { key: 'begin', reason, ...(cables.length > 1 ? { cable } : {}) },
              });
              setOpen(false);
            }}
            data-primary
          >
            Begin
          </Button>
        }
      >
        {cables.length > 1 && (
          <Box marginBottom="3">
            <PickOne says="Cable" mark="cable" options={cables} value={cable} onPick={setCable} />
          </Box>
        )}
        <PickOne says="Reason" mark="reason" options={state.beside.reasons} value={reason} onPick={setReason} />
      </Modal>
    </>
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
          <Mark kind="now" size="1rem" />
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
