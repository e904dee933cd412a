import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { zChangeMachine } from '../../api/contract/zod.gen';
import { keys } from '../../api/keys';
import { addControl, changeMachine, type Machine, machineQuery, retireMachine } from '../../api/machines';
import { Button } from '../../components/Buttons';
import { NotSaved, useSeen } from '../../components/ChangedSince';
import { Entry } from '../../components/Entry';
import { FormEntry } from '../../components/FormEntry';
import { Modal } from '../../components/Modal';
import { checkedBy } from '../../lib/checkedBy';
import { wordOrNone } from '../../lib/wordOrNone';
import { useLacking } from './useLacking';

type Draft = { tag: string; plate: string; kind: string; place: string };

const written = (draft: Draft) => ({
  tag: draft.tag.trim(),
  plate: wordOrNone(draft.plate),
  kind: draft.kind.trim(),
  place: draft.place.trim(),
});

/** What a lead keeps about a machine: its tag and place, its controls, whether it is in use. */
export default function KeepDialog({ machine, onClose }: { machine: Machine; onClose: () => void }) {
  const { control, handleSubmit } = useForm<Draft>({
    defaultValues: { tag: machine.tag, plate: machine.plate ?? '', kind: machine.kind, place: machine.place },
    resolver: checkedBy(written, zChangeMachine),
  });
  const row = useWatch({ control }) as Draft;
  const [why, setWhy] = useState<string | null>(null);
  const client = useQueryClient();
  const navigate = useNavigate();
  const done = {
    onSuccess: (after: Machine) => {
      client.setQueryData(machineQuery(after.tag).queryKey, after);
      for (const queryKey of [keys.machines, keys.bench, keys.due]) void client.invalidateQueries({ queryKey });
      if (after.tag !== machine.tag) navigate(`/machines/${after.tag}`, { replace: true });
      onClose();
    },
  };
  const { seen, onError } = useSeen(machine.etag);
  const change = useMutation({
    mutationFn: (draft: Draft) => changeMachine(machine.tag, written(draft), seen),
    ...done,
    onError,
  });
  const retire = useMutation({
    mutationFn: () => retireMachine(machine.tag, !machine.retired, why ?? undefined, seen),
    ...done,
    onError,
  });
  const add = useMutation({ mutationFn: (spec: number) => addControl(machine.tag, spec), ...done });
  const missing = (useLacking(machine) ?? []).filter((spec) => !spec.draft);
  const error = change.error ?? retire.error ?? add.error;
  const typed = [
    { name: 'tag', label: 'Tag', mine: row.tag },
    { name: 'plate', label: 'Plate', mine: row.plate },
    { name: 'kind', label: 'Kind', mine: row.kind },
    { name: 'place', label: 'Place', mine: row.place },
  ];
  return (
    <Modal
      open
      onClose={onClose}
      title={`Change ${machine.tag}`}
      cancel="Cancel"
      actions={
        <Button
          look="vivid"
          onClick={handleSubmit((draft) => change.mutate(draft))}
          disabled={change.isPending}
          data-primary
        >
          Save
        </Button>
      }
    >
      <Grid templateColumns="1fr 1fr" gap="3">
        <FormEntry control={control} field="tag" label="Tag" most={20} name="tag" />
        <FormEntry control={control} field="plate" label="Plate" most={20} />
        <FormEntry control={control} field="kind" label="Kind" name="kind" />
        <FormEntry control={control} field="place" label="Place" name="place" />
      </Grid>
      {row.tag !== machine.tag && (
        <Box textStyle="small" marginTop="2">
          It is still found by {machine.tag}.
        </Box>
      )}
      {missing.length > 0 && (
        <Flex gap="2" flexWrap="wrap" marginTop="4" alignItems="center">
          <Box textStyle="eyebrow">The library also has</Box>
          {missing.map((spec) => (
            <Button key={spec.id} look="quiet" size="small" onClick={() => add.mutate(spec.id)}>
              {spec.name}
            </Button>
          ))}
        </Flex>
      )}
      <Retire machine={machine} why={why} onWhy={setWhy} onRetire={() => retire.mutate()} />
      {error !== null && <NotSaved error={error} fields={typed} />}
    </Modal>
  );
}

type RetireProps = { machine: Machine; why: string | null; onWhy: (why: string) => void; onRetire: () => void };

const Retire = ({ machine, why, onWhy, onRetire }: RetireProps) => (
  <Box borderTopWidth="thin" borderColor="line" marginTop="4" paddingTop="3">
    {machine.retired ? (
      <Button look="plain" onClick={() => onRetire()} data-bring-back>
        Bring it back into use
      </Button>
    ) : why === null ? (
      <Button look="quiet" onClick={() => onWhy('')} data-retire>
        Retire the machine
      </Button>
    ) : (
      <Grid templateColumns="1fr auto" gap="3" alignItems="end">
        <Entry label="Why it is retired" value={why} onChange={onWhy} most={200} name="retire-why" />
        <Button look="plain" onClick={() => onRetire()} disabled={why.trim() === ''} data-retire-now>
          Retire it
        </Button>
      </Grid>
    )}
  </Box>
);
