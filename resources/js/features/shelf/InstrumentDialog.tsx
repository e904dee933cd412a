import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import {
  instrumentKinds,
  type Kept,
  keepInstrument,
  putAway,
  type ShelfInstrument,
  shelfQuery,
  shows,
  sizesOf,
} from '../../api/shelf';
import { Button, FieldLabel } from '../../components/Buttons';
import { NotSaved, type Typed, useSeen } from '../../components/ChangedSince';
import { Entry } from '../../components/Entry';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { Select } from '../../components/Select';
import { isNoSize, quantity } from '../../lib/figures';
import { kindNames } from './words';

type Props = {
  instrument: ShelfInstrument | null;
  /** What a check of its own tells, in place of the certificate it has. */
  certificate?: { expanded: number; factor: number };
  onClose: () => void;
};

type Draft = {
  name: string;
  kind: string;
  resolution: string;
  inches: string;
  reach: string;
  expanded: string;
  factor: string;
  due: string;
};

const draftOf = (one: ShelfInstrument | null): Draft => {
  const sizes = one === null ? null : sizesOf(one);
  return {
    name: one?.name ?? '',
    kind: one?.kind ?? 'caliper',
    resolution: String(sizes?.resolution ?? ''),
    inches: one?.inch_marks == null ? '' : String(one.inch_marks),
    reach: String(sizes?.reach ?? ''),
    expanded: String(sizes?.expanded ?? ''),
    factor: one?.calibration == null ? '2' : String(one.calibration.factor),
    due: one?.calibration?.due ?? '',
  };
};

const kindOf = (draft: Draft) => instrumentKinds.find((kind) => kind === draft.kind) ?? 'caliper';

const figure = (text: string) => Number(text.trim().replace(',', '.'));

const written = (draft: Draft): Kept => ({
  name: draft.name.trim(),
  kind: kindOf(draft),
  resolution: quantity(draft.resolution) ?? '',
  reach: quantity(draft.reach) ?? '',
  inch_marks: draft.inches.trim() === '' || shows(kindOf(draft)) === 'N' ? null : figure(draft.inches),
  calibration:
    draft.expanded.trim() === ''
      ? null
      : {
          expanded: quantity(draft.expanded) ?? '',
          factor: figure(draft.factor),
          due: draft.due === '' ? null : draft.due,
        },
});

/** What is typed, by the names the server gives it. */
const typedIn = (draft: Draft): Typed[] => {
  const unit = shows(kindOf(draft)).toLowerCase();
  return [
    { name: 'name', label: 'Name', mine: draft.name },
    { name: 'kind', label: 'Kind', mine: draft.kind },
    { name: `resolution_${unit}`, label: 'Shows', mine: draft.resolution },
    { name: `reach_${unit}`, label: 'Reaches', mine: draft.reach },
    { name: 'inch_marks', label: 'Marks to the inch', mine: draft.inches },
    { name: `expanded_${unit}`, label: 'Certificate ±', mine: draft.expanded },
    { name: 'factor', label: 'Factor k', mine: draft.expanded === '' ? '' : draft.factor },
    { name: 'due', label: 'Calibrate again by', mine: draft.due },
  ];
};

/** What cannot be sent at all, said before it is; the server says the rest. */
function gap(draft: Draft): string | null {
  if (draft.name.trim() === '') return 'Give it a name.';
  const pulls = shows(kindOf(draft)) === 'N';
  if (draft.resolution.trim() === '' || isNoSize(draft.resolution))
    return `Say what it shows, such as ${pulls ? '0.1 N' : '0.05 mm or 1/32 in'}.`;
  if (draft.reach.trim() === '' || isNoSize(draft.reach))
    return `Say how far it reaches, such as ${pulls ? '500 N or 110 lbf' : '150 mm or 6 in'}.`;
  if (!pulls && draft.inches.trim() !== '' && !/^\d{1,4}$/.test(draft.inches.trim()))
    return 'Marks to the inch are a whole number, such as 32, 64 or 1000.';
  if (draft.expanded.trim() !== '' && (isNoSize(draft.expanded) || !(figure(draft.factor) >= 1)))
    return `The certificate gives its uncertainty, such as ${pulls ? '0.5 N' : '0.02 mm'}, and a factor k of 1 or more.`;
  return null;
}

/** A short name of its own for a new instrument, from what it is called. */
const idFor = (name: string) =>
  `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 24) || 'instrument'
  }-${crypto.getRandomValues(new Uint32Array(1))[0]?.toString(36)}`;

/** An instrument as its maker and its certificate have it. */
export const InstrumentDialog = ({ instrument, certificate, onClose }: Props) => {
  const [draft, setDraft] = useState(() => ({
    ...draftOf(instrument),
    ...(certificate === undefined
      ? {}
      : { expanded: String(certificate.expanded), factor: String(certificate.factor), due: '' }),
  }));
  const [told, setTold] = useState<string | null>(null);
  const [parting, setParting] = useState(false);
  const client = useQueryClient();
  const done = {
    onSuccess: (shelf: Awaited<ReturnType<typeof putAway>>) => {
      client.setQueryData(shelfQuery.queryKey, shelf);
      onClose();
    },
  };
  const { seen, onError } = useSeen(instrument?.etag);
  const keep = useMutation({
    mutationFn: () => keepInstrument(instrument?.id ?? idFor(draft.name), written(draft), seen),
    ...done,
    onError,
  });
  const away = useMutation({ mutationFn: () => putAway(instrument?.id ?? ''), ...done });
  const set = (name: keyof Draft) => (value: string) => {
    setTold(null);
    setDraft({ ...draft, [name]: value });
  };
  const submit = () => {
    const missing = gap(draft);
    setTold(missing);
    if (missing === null) keep.mutate();
  };
  return (
    <Modal
      open
      onClose={onClose}
      title={instrument === null ? 'Add an instrument' : `Change ${instrument.name}`}
      cancel="Cancel"
      actions={
        <>
          <Button look="vivid" onClick={submit} disabled={keep.isPending} data-primary>
            {keep.isPending ? 'Saving' : 'Save'}
          </Button>
          {instrument !== null && (
            <Button look="plain" onClick={() => (parting ? away.mutate() : setParting(true))} data-put-away>
              {parting ? 'Yes, put it away' : 'Put it away'}
            </Button>
          )}
        </>
      }
    >
      <Grid templateColumns="1fr 1fr" gap="3">
        <Box gridColumn="1 / -1">
          <Entry label="Name" value={draft.name} onChange={set('name')} most={60} />
        </Box>
        <KindChoice value={draft.kind} onChange={set('kind')} />
        <Entry
          label="Shows"
          unit={shows(kindOf(draft))}
          value={draft.resolution}
          onChange={set('resolution')}
          most={12}
        />
        <Entry label="Reaches" unit={shows(kindOf(draft))} value={draft.reach} onChange={set('reach')} most={12} />
        {shows(kindOf(draft)) === 'mm' && (
          <Entry
            label="Marks to the inch, if any"
            value={draft.inches}
            onChange={set('inches')}
            kind="decimal"
            most={12}
          />
        )}
        <Entry
          label="Certificate ±"
          unit={shows(kindOf(draft))}
          value={draft.expanded}
          onChange={set('expanded')}
          kind="decimal"
          most={12}
        />
        <Entry label="Factor k" value={draft.factor} onChange={set('factor')} kind="decimal" most={12} />
        <Entry label="Calibrate again by" value={draft.due} onChange={set('due')} kind="date" />
      </Grid>
      {parting && (
        <Box marginTop="3" lineHeight="snug">
          It is not offered any more. What was read with it stays as it is.
        </Box>
      )}
      {told !== null && (
        <Flex role="alert" marginTop="3" fontWeight="bold" data-told>
          {told}
        </Flex>
      )}
      {keep.isError && <NotSaved error={keep.error} fields={typedIn(draft)} />}
      {away.isError && <Refusal error={away.error} />}
    </Modal>
  );
};

const KindChoice = ({ value, onChange }: { value: string; onChange: (value: string) => void }) => {
  const id = useId();
  return (
    <Box>
      <FieldLabel htmlFor={id}>Kind</FieldLabel>
      <Select
        id={id}
        value={value}
        onPick={onChange}
        options={instrumentKinds.map((kind) => ({ key: kind, label: kindNames[kind] }))}
        width="100%"
      />
    </Box>
  );
};
