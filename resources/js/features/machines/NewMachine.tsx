import { Box, Grid } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type Control, useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import type { MeterUnit } from '../../api/contract';
import { meters } from '../../api/contract/vocabulary.gen';
import { zAddMachine } from '../../api/contract/zod.gen';
import { keys } from '../../api/keys';
import { type NewMachine as Added, addMachine } from '../../api/machines';
import { specsQuery } from '../../api/specs';
import { Button } from '../../components/Buttons';
import { FormEntry, FormPick } from '../../components/FormEntry';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { checkedBy } from '../../lib/checkedBy';
import { wordOrNone } from '../../lib/wordOrNone';

type Draft = {
  tag: string;
  plate: string;
  name: string;
  kind: string;
  year: string;
  place: string;
  usage: string;
  usage_unit: MeterUnit;
};

const empty: Draft = { tag: '', plate: '', name: '', kind: '', year: '', place: '', usage: '', usage_unit: 'km' };

/** A figure with its blanks taken out; nothing where there is none. */
const whole = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.replace(/\s/g, '')));

const written = (draft: Draft): Added => ({
  tag: draft.tag.trim(),
  plate: wordOrNone(draft.plate),
  name: draft.name.trim(),
  kind: draft.kind.trim(),
  year: whole(draft.year),
  place: draft.place.trim(),
  usage: whole(draft.usage),
  usage_unit: draft.usage_unit,
});

const figures = (draft: Draft) => ({
  year: Number.isInteger(whole(draft.year)) ? null : 'A year, such as 2019.',
  usage: Number.isInteger(whole(draft.usage)) ? null : 'What it shows, such as 12 400.',
});

/** A machine hung on its tag; the library gives it the controls of its model. */
export default function NewMachine({ onClose }: { onClose: () => void }) {
  const { control, handleSubmit } = useForm<Draft>({
    defaultValues: empty,
    resolver: checkedBy(written, zAddMachine, { first: figures }),
  });
  const client = useQueryClient();
  const navigate = useNavigate();
  const add = useMutation({
    mutationFn: (draft: Draft) => addMachine(written(draft)),
    onSuccess: (machine) => {
      void client.invalidateQueries({ queryKey: keys.machines });
      navigate(`/machines/${machine.tag}`);
    },
  });
  return (
    <Modal
      open
      onClose={onClose}
      title="Add a machine"
      cancel="Cancel"
      actions={
        <Button look="vivid" onClick={handleSubmit((draft) => add.mutate(draft))} disabled={add.isPending} data-primary>
          Add it
        </Button>
      }
    >
      <Grid templateColumns="1fr 1fr" gap="3">
        <FormEntry control={control} field="tag" label="Tag" most={20} name="tag" />
        <FormEntry control={control} field="plate" label="Plate, if any" most={20} />
        <Model control={control} />
        <FormEntry control={control} field="kind" label="Kind" name="kind" />
        <FormEntry control={control} field="year" label="Year" kind="whole" most={4} name="year" />
        <FormEntry control={control} field="place" label="Place" name="place" />
        <Grid templateColumns="1fr {sizes.24}" gap="2">
          <FormEntry control={control} field="usage" label="Meter" kind="whole" most={9} name="usage" />
          <FormPick control={control} field="usage_unit" label="Counts" options={meters} />
        </Grid>
      </Grid>
      {add.isError && <Refusal error={add.error} />}
    </Modal>
  );
}

/** The model, by what the library knows; with it come its controls. */
const Model = ({ control }: { control: Control<Draft> }) => {
  const model = useWatch({ control, name: 'name' }).trim();
  const { data: library } = useQuery({ ...specsQuery(model, 1), enabled: model !== '' });
  const models = [...new Set((library?.specs ?? []).map((spec) => spec.model))];
  const controls = (library?.specs ?? []).filter((spec) => spec.model === model && !spec.draft);
  return (
    <Box gridColumn="1 / -1">
      <FormEntry
        control={control}
        field="name"
        label="Make and model, as in the library"
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
