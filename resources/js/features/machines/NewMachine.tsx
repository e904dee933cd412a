import { Box, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { MeterUnit } from '../../api/contract';
import { meters } from '../../api/contract/vocabulary.gen';
import { keys } from '../../api/keys';
import { addMachine } from '../../api/machines';
import { specsQuery } from '../../api/specs';
import { Button } from '../../components/Buttons';
import { Entry, Pick } from '../../components/Entry';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';

/** A machine hung on its tag; the library gives it the controls of its model. */
export const NewMachine = ({ onClose }: { onClose: () => void }) => {
  const [row, setRow] = useState({
    tag: '',
    plate: '',
    name: '',
    kind: '',
    year: '',
    place: '',
    usage: '',
    unit: 'km' as MeterUnit,
  });
  const set = (key: keyof typeof row) => (value: string) => setRow({ ...row, [key]: value });
  const client = useQueryClient();
  const navigate = useNavigate();
  const model = row.name.trim();
  const add = useMutation({
    mutationFn: () =>
      addMachine({
        tag: row.tag.trim(),
        plate: row.plate.trim() === '' ? null : row.plate.trim(),
        name: model,
        kind: row.kind.trim(),
        year: Number(row.year),
        place: row.place.trim(),
        usage: Number(row.usage.replace(/\s/g, '')),
        usage_unit: row.unit,
      }),
    onSuccess: (machine) => {
      void client.invalidateQueries({ queryKey: keys.machines });
      navigate(`/machines/${machine.tag}`);
    },
  });
  const complete = [row.tag, model, row.kind, row.year, row.place, row.usage].every((one) => one.trim() !== '');
  return (
    <Modal
      open
      onClose={onClose}
      title="A machine for the yard"
      cancel="Cancel"
      actions={
        <Button look="vivid" onClick={() => add.mutate()} disabled={!complete || add.isPending} data-primary>
          Hang it up
        </Button>
      }
    >
      <Grid templateColumns="1fr 1fr" gap="3">
        <Entry label="Tag" value={row.tag} onChange={set('tag')} most={20} name="tag" />
        <Entry label="Plate, if any" value={row.plate} onChange={set('plate')} most={20} />
        <Model name={row.name} onName={set('name')} />
        <Entry label="Kind" value={row.kind} onChange={set('kind')} name="kind" />
        <Entry label="Year" value={row.year} onChange={set('year')} kind="whole" most={4} name="year" />
        <Entry label="Place" value={row.place} onChange={set('place')} name="place" />
        <Grid templateColumns="1fr {sizes.24}" gap="2">
          <Entry label="Meter" value={row.usage} onChange={set('usage')} kind="whole" most={9} name="usage" />
          <Pick label="counts" value={row.unit} onChange={(unit) => setRow({ ...row, unit })} options={meters} />
        </Grid>
      </Grid>
      {add.isError && <Refusal error={add.error} />}
    </Modal>
  );
};

/** The model, by what the library knows; with it come its controls. */
const Model = ({ name, onName }: { name: string; onName: (name: string) => void }) => {
  const model = name.trim();
  const { data: library } = useQuery({ ...specsQuery(model, 1), enabled: model !== '' });
  const models = [...new Set((library?.specs ?? []).map((spec) => spec.model))];
  const controls = (library?.specs ?? []).filter((spec) => spec.model === model && !spec.draft);
  return (
    <Box gridColumn="1 / -1">
      <Entry
        label="Make and model, as in the library"
        value={name}
        onChange={onName}
        name="model"
        list="library-models"
        hint={
          model === ''
            ? undefined
            : controls.length > 0
              ? `It gets: ${controls.map((spec) => spec.name.toLowerCase()).join(', ')}.`
              : 'The library has no checked spec of this model yet; its controls can be added later.'
        }
      />
      <datalist id="library-models">
        {models.map((one) => (
          <option key={one} value={one} />
        ))}
      </datalist>
    </Box>
  );
};
