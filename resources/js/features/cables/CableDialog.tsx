import { Box, Grid } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Control, useController, useForm, useWatch } from 'react-hook-form';
import { type CableEnd, cablesQuery, type KnownCable, keepCable, leaveOutCable, type NewCable } from '../../api/cables';
import type { AdjusterKind } from '../../api/contract';
import { cableEnds } from '../../api/contract/vocabulary.gen';
import { zNewCable } from '../../api/contract/zod.gen';
import { keys } from '../../api/keys';
import { Button, FieldLabel } from '../../components/Buttons';
import { NotSaved, type Typed, useSeen } from '../../components/ChangedSince';
import { FormEntry, FormPick } from '../../components/FormEntry';
import { Modal } from '../../components/Modal';
import { PickOne } from '../../components/PickOne';
import { Refusal } from '../../components/Refusal';
import { capital } from '../../lib/capital';
import { checkedBy } from '../../lib/checkedBy';
import { isNoSize, quantity } from '../../lib/figures';
import { nowWithOffset } from '../../lib/time';
import { uuid } from '../../lib/uuid';
import { wordOrNone } from '../../lib/wordOrNone';
import { inTheForm } from '../specs/words';
import { SideBySide } from './MatchSays';

type Draft = {
  name: string;
  number: string;
  wire: string;
  conduit: string;
  hand: string;
  working: string;
  /** Kinds with blanks between; none where it carries none, empty where nobody looked. */
  carries: string;
  price: string;
  note: string;
  by: string;
  on: string;
};

const draftOf = (one: KnownCable | null, name: string): Draft => ({
  name: one?.name ?? name,
  number: one?.number ?? '',
  wire: one === null ? '' : String(one.wire_mm),
  conduit: String(one?.conduit_mm ?? ''),
  hand: one?.hand_end ?? '',
  working: one?.working_end ?? '',
  carries: one === null || one.adjusters === null ? '' : one.adjusters.length === 0 ? 'none' : one.adjusters.join(' '),
  price: one?.price ?? '',
  note: one?.note ?? '',
  by: one?.measured_by ?? '',
  on: one === null ? nowWithOffset().slice(0, 10) : (one.measured_on ?? ''),
});

const written = (draft: Draft, control: number | null): NewCable => ({
  name: draft.name.trim(),
  wire_mm: quantity(draft.wire) ?? '',
  conduit_mm: quantity(draft.conduit) ?? null,
  hand_end: (wordOrNone(draft.hand) as CableEnd | null) ?? null,
  working_end: (wordOrNone(draft.working) as CableEnd | null) ?? null,
  adjusters: draft.carries === '' ? null : draft.carries === 'none' ? [] : (draft.carries.split(' ') as AdjusterKind[]),
  number: wordOrNone(draft.number),
  price: wordOrNone(draft.price),
  note: wordOrNone(draft.note),
  measured_by: wordOrNone(draft.by),
  measured_on: draft.on === '' ? null : draft.on,
  control,
});

const ends = [{ key: '', label: 'Not looked at' }, ...cableEnds.map((one) => ({ ...one, label: capital(one.label) }))];

const carries = [
  { key: '', label: 'Not looked at' },
  { key: 'none', label: 'None' },
  { key: 'in_line', label: 'In-line adjuster' },
  { key: 'hollow_bolt', label: 'Hollow bolt' },
  { key: 'bracket_nuts', label: 'Thread with nuts' },
];

/** What is no length is said before it is sent. */
const sizes = (draft: Draft) => ({
  wire: quantity(draft.wire) === undefined || isNoSize(draft.wire) ? 'A length, such as 82 mm or 3 1/4 in.' : null,
  conduit: isNoSize(draft.conduit) ? 'A length, such as 910 mm or 36 in.' : null,
});

const typedIn = (draft: Draft): Typed[] => [
  { name: 'name', label: 'Name', mine: draft.name },
  { name: 'number', label: 'Number', mine: draft.number },
  { name: 'wire_mm', label: 'Wire that shows', mine: draft.wire },
  { name: 'conduit_mm', label: 'Conduit', mine: draft.conduit },
];

type Props = {
  cable: KnownCable | null;
  /** The control it is on, where it is measured off one. */
  control?: number | null;
  name?: string;
  onClose: () => void;
};

/** A cable as it was measured: far end seated, conduit straight, its own adjusters in. */
export const CableDialog = ({ cable, control, name = '', onClose }: Props) => {
  const of = control ?? cable?.control ?? null;
  const form = useForm<Draft>({
    defaultValues: draftOf(cable, name),
    resolver: checkedBy((draft) => written(draft, of), zNewCable, {
      places: { wire_mm: 'wire', conduit_mm: 'conduit', measured_by: 'by', measured_on: 'on' },
      first: sizes,
    }),
  });
  const draft = useWatch({ control: form.control }) as Draft;
  const [id] = useState(() => cable?.id ?? uuid());
  const [parting, setParting] = useState(false);
  const client = useQueryClient();
  const done = {
    onSuccess: (book: Awaited<ReturnType<typeof keepCable>>) => {
      client.setQueryData(cablesQuery.queryKey, book);
      void client.invalidateQueries({ queryKey: keys.cables });
      onClose();
    },
  };
  const { seen, onError } = useSeen(cable?.etag);
  const keep = useMutation({
    mutationFn: (told: Draft) => keepCable(id, written(told, of), seen),
    ...done,
    onError,
  });
  const out = useMutation({ mutationFn: () => leaveOutCable(id), ...done });
  const entry = { control: form.control };
  return (
    <Modal
      open
      onClose={onClose}
      title={
        cable !== null
          ? `Change ${cable.name}`
          : control == null
            ? 'A cable for the book'
            : 'Measure the cable that is on it'
      }
      about="Far end seated, conduit straight, its own adjusters in: how much wire shows at the near end."
      cancel="Cancel"
      actions={
        <>
          <Button
            look="vivid"
            onClick={form.handleSubmit((told) => keep.mutate(told))}
            disabled={keep.isPending}
            data-primary
          >
            {keep.isPending ? 'Saving' : 'Save'}
          </Button>
          {cable !== null && (
            <Button look="plain" onClick={() => (parting ? out.mutate() : setParting(true))} data-leave-out>
              {parting ? 'Yes, leave it out' : 'Leave it out'}
            </Button>
          )}
        </>
      }
    >
      <SideBySide />
      <Grid templateColumns="1fr 1fr" gap="3" marginTop="3">
        <FormEntry {...entry} label="Wire that shows" unit="mm" field="wire" kind="decimal" most={12} name="wire" />
        <FormEntry
          {...entry}
          label="Conduit, if measured"
          unit="mm"
          field="conduit"
          kind="decimal"
          most={12}
          name="conduit"
        />
        <FormPick {...entry} label="End at the hand" field="hand" options={ends} name="hand-end" />
        <FormPick {...entry} label="Other end" field="working" options={ends} name="working-end" />
        <Carries control={form.control} />
        <FormEntry {...entry} label="Name" field="name" most={60} name="cable-name" />
        <FormEntry {...entry} label="Number on its label" field="number" most={60} name="number" />
        <FormEntry {...entry} label="Price, if wanted" field="price" most={20} name="price" />
        <FormEntry {...entry} label="Measured on" field="on" kind="date" name="measured-on" />
        <FormEntry {...entry} label="Measured by" field="by" most={60} name="measured-by" hint="Empty: you" />
        <FormEntry {...entry} label="Note" field="note" most={200} name="note" />
      </Grid>
      {keep.isError && <NotSaved error={keep.error} fields={typedIn(draft)} words={inTheForm} />}
      {out.isError && <Refusal error={out.error} />}
    </Modal>
  );
};

/** What the cable has of its own to be set by. */
const Carries = ({ control }: { control: Control<Draft> }) => {
  const { field } = useController({ control, name: 'carries' });
  return (
    <Box gridColumn="1 / -1">
      <FieldLabel as="div">Adjuster on the cable itself</FieldLabel>
      <PickOne
        says="Adjuster on the cable itself"
        mark="carries"
        options={carries}
        value={field.value}
        onPick={field.onChange}
      />
    </Box>
  );
};
