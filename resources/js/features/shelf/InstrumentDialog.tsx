import { Box, Grid } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { zKeepInstrument } from '../../api/contract/zod.gen';
import {
  instrumentKinds,
  type Kept,
  keepInstrument,
  named,
  putAway,
  type ShelfInstrument,
  shelfQuery,
  shows,
  sizesOf,
} from '../../api/shelf';
import { Button } from '../../components/Buttons';
import { NotSaved, type Typed, useSeen } from '../../components/ChangedSince';
import { FormEntry, FormPick } from '../../components/FormEntry';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { checkedBy } from '../../lib/checkedBy';
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

const kinds = instrumentKinds.map((key) => ({ key, label: kindNames[key] }));

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

/** What the trade says of a field, before it is sent; the server says the rest. */
function wrong(draft: Draft): { [Field in keyof Draft]?: string | null } {
  const pulls = shows(kindOf(draft)) === 'N';
  const isSure = draft.expanded.trim() === '' || !isNoSize(draft.expanded);
  return {
    resolution:
      draft.resolution.trim() === '' || isNoSize(draft.resolution)
        ? `What it shows, such as ${pulls ? '0.1 N' : '0.05 mm or 1/32 in'}.`
        : null,
    reach:
      draft.reach.trim() === '' || isNoSize(draft.reach)
        ? `How far it reaches, such as ${pulls ? '500 N or 110 lbf' : '150 mm or 6 in'}.`
        : null,
    inches:
      !pulls && draft.inches.trim() !== '' && !/^\d{1,4}$/.test(draft.inches.trim())
        ? 'A whole number, such as 32, 64 or 1000.'
        : null,
    expanded: isSure ? null : `As the certificate gives it, such as ${pulls ? '0.5 N' : '0.02 mm'}.`,
    factor: draft.expanded.trim() !== '' && !(figure(draft.factor) >= 1) ? 'A factor k of 1 or more.' : null,
  };
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
  const { control, handleSubmit } = useForm<Draft>({
    defaultValues: {
      ...draftOf(instrument),
      ...(certificate === undefined
        ? {}
        : { expanded: String(certificate.expanded), factor: String(certificate.factor), due: '' }),
    },
    resolver: checkedBy((told) => named(written(told)), zKeepInstrument, {
      places: {
        resolution_mm: 'resolution',
        resolution_n: 'resolution',
        reach_mm: 'reach',
        reach_n: 'reach',
        inch_marks: 'inches',
        calibration: 'expanded',
      },
      first: wrong,
    }),
  });
  const draft = useWatch({ control }) as Draft;
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
    mutationFn: (told: Draft) => keepInstrument(instrument?.id ?? idFor(told.name), written(told), seen),
    ...done,
    onError,
  });
  const away = useMutation({ mutationFn: () => putAway(instrument?.id ?? ''), ...done });
  const unit = shows(kindOf(draft));
  return (
    <Modal
      open
      onClose={onClose}
      title={instrument === null ? 'Add an instrument' : `Change ${instrument.name}`}
      cancel="Cancel"
      actions={
        <>
          <Button
            look="vivid"
            onClick={handleSubmit((told) => keep.mutate(told))}
            disabled={keep.isPending}
            data-primary
          >
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
          <FormEntry control={control} label="Name" field="name" most={60} name="name" />
        </Box>
        <FormPick control={control} field="kind" label="Kind" options={kinds} />
        <FormEntry control={control} label="Shows" unit={unit} field="resolution" most={12} />
        <FormEntry control={control} label="Reaches" unit={unit} field="reach" most={12} />
        {unit === 'mm' && (
          <FormEntry control={control} label="Marks to the inch, if any" field="inches" kind="decimal" most={12} />
        )}
        <FormEntry control={control} label="Certificate ±" unit={unit} field="expanded" kind="decimal" most={12} />
        <FormEntry control={control} label="Factor k" field="factor" kind="decimal" most={12} />
        <FormEntry control={control} label="Calibrate again by" field="due" kind="date" />
      </Grid>
      {parting && (
        <Box marginTop="3" lineHeight="snug">
          It is not offered any more. What was read with it stays as it is.
        </Box>
      )}
      {keep.isError && <NotSaved error={keep.error} fields={typedIn(draft)} />}
      {away.isError && <Refusal error={away.error} />}
    </Modal>
  );
};
