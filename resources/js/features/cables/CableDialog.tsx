import { Box, Grid } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type CableEnd, cablesQuery, type KnownCable, keepCable, leaveOutCable, type NewCable } from '../../api/cables';
import type { AdjusterKind } from '../../api/contract';
import { cableEnds } from '../../api/contract/vocabulary.gen';
import { keys } from '../../api/keys';
import { Button, FieldLabel } from '../../components/Buttons';
import { NotSaved, type Typed, useSeen } from '../../components/ChangedSince';
import { Entry, Pick } from '../../components/Entry';
import { Modal } from '../../components/Modal';
import { PickOne } from '../../components/PickOne';
import { Refusal } from '../../components/Refusal';
import { capital } from '../../lib/capital';
import { isNoSize, quantity } from '../../lib/figures';
import { nowWithOffset } from '../../lib/time';
import { uuid } from '../../lib/uuid';
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

const word = (text: string) => (text.trim() === '' ? null : text.trim());

const written = (draft: Draft, control: number | null): NewCable => ({
  name: draft.name.trim(),
  wire_mm: quantity(draft.wire) ?? '',
  conduit_mm: quantity(draft.conduit) ?? null,
  hand_end: (word(draft.hand) as CableEnd | null) ?? null,
  working_end: (word(draft.working) as CableEnd | null) ?? null,
  adjusters: draft.carries === '' ? null : draft.carries === 'none' ? [] : (draft.carries.split(' ') as AdjusterKind[]),
  number: word(draft.number),
  price: word(draft.price),
  note: word(draft.note),
  measured_by: word(draft.by),
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
  const [draft, setDraft] = useState(() => draftOf(cable, name));
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
    mutationFn: () => keepCable(id, written(draft, control ?? cable?.control ?? null), seen),
    ...done,
    onError,
  });
  const out = useMutation({ mutationFn: () => leaveOutCable(id), ...done });
  const set = (key: keyof Draft) => (value: string) => setDraft({ ...draft, [key]: value });
  const ready =
    draft.name.trim() !== '' && quantity(draft.wire) !== undefined && !isNoSize(draft.wire) && !isNoSize(draft.conduit);
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
          <Button look="vivid" onClick={() => keep.mutate()} disabled={!ready || keep.isPending} data-primary>
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
        <Entry
          label="Wire that shows"
          unit="mm"
          value={draft.wire}
          onChange={set('wire')}
          kind="decimal"
          most={12}
          name="wire"
        />
        <Entry
          label="Conduit, if measured"
          unit="mm"
          value={draft.conduit}
          onChange={set('conduit')}
          kind="decimal"
          most={12}
          name="conduit"
        />
        <Pick label="End at the hand" value={draft.hand} onChange={set('hand')} options={ends} name="hand-end" />
        <Pick label="Other end" value={draft.working} onChange={set('working')} options={ends} name="working-end" />
        <Box gridColumn="1 / -1">
          <FieldLabel as="div">Adjuster on the cable itself</FieldLabel>
          <PickOne
            says="Adjuster on the cable itself"
            mark="carries"
            options={carries}
            value={draft.carries}
            onPick={set('carries')}
          />
        </Box>
        <Entry label="Name" value={draft.name} onChange={set('name')} most={60} name="cable-name" />
        <Entry label="Number on its label" value={draft.number} onChange={set('number')} most={60} name="number" />
        <Entry label="Price, if wanted" value={draft.price} onChange={set('price')} most={20} name="price" />
        <Entry label="Measured on" value={draft.on} onChange={set('on')} kind="date" name="measured-on" />
        <Entry
          label="Measured by"
          value={draft.by}
          onChange={set('by')}
          most={60}
          name="measured-by"
          hint="Empty: you"
        />
        <Entry label="Note" value={draft.note} onChange={set('note')} most={200} name="note" />
      </Grid>
      {keep.isError && <NotSaved error={keep.error} fields={typedIn(draft)} words={inTheForm} />}
      {out.isError && <Refusal error={out.error} />}
    </Modal>
  );
};
