import { Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Problem } from '../../api/client';
import { zMeterRead } from '../../api/contract/zod.gen';
import { keys } from '../../api/keys';
import { type Machine, machineQuery, readMeter } from '../../api/machines';
import { Button } from '../../components/Buttons';
import { FormEntry } from '../../components/FormEntry';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
import { checkedBy } from '../../lib/checkedBy';
import { counted } from '../../lib/figures';
import { moment } from '../../lib/time';
import { uuid } from '../../lib/uuid';

/** It is unlikely, and stands once the person says that they are sure. */
const QUESTIONED = '/problems/questioned';

const whole = (text: string) => (/^\d[\d\s]*$/.test(text.trim()) ? Number(text.replace(/\s/g, '')) : null);

type MeterDialogProps = {
  machine: Machine;
  onClose: () => void;
  /** What follows once it is kept, or once nobody reads it. */
  then?: { says: string; go: () => void };
};

/** Both figures as the meters show them; the old one's where it was replaced. */
type Draft = { face: string; old: string; replaced: boolean };

const written = (id: string, { face, old, replaced }: Draft) => ({
  id,
  face: whole(face) ?? Number.NaN,
  ...(replaced ? { replaced_at: whole(old) ?? Number.NaN } : {}),
});

const NO_FIGURE = 'A whole figure, as the meter shows it.';

/** What is no figure, said at its field. */
const figures = ({ face, old, replaced }: Draft) => ({
  face: whole(face) === null ? NO_FIGURE : null,
  old: replaced && whole(old) === null ? NO_FIGURE : null,
});

function useReadMeter(machine: Machine, done: () => void) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ sure, ...read }: ReturnType<typeof written> & { sure: boolean }) =>
      readMeter(machine.tag, { ...read, ...(sure ? { sure } : {}) }),
    onSuccess: (after) => {
      client.setQueryData(machineQuery(machine.tag).queryKey, after);
      void client.invalidateQueries({ queryKey: keys.bench });
      done();
    },
  });
}

/** The meter as it reads now; one that goes backward is questioned, and a replaced one goes on. */
export default function MeterDialog({ machine, onClose, then }: MeterDialogProps) {
  const [id] = useState(uuid);
  const { control, handleSubmit, setValue, watch } = useForm<Draft>({
    defaultValues: { face: '', old: '', replaced: false },
    resolver: checkedBy((draft: Draft) => written(id, draft), zMeterRead, {
      places: { replaced_at: 'old' },
      first: figures,
    }),
  });
  const done = () => {
    onClose();
    then?.go();
  };
  const read = useReadMeter(machine, done);
  const isReplaced = watch('replaced');
  const replaced = () => {
    setValue('replaced', true);
    read.reset();
  };
  const questioned = read.error instanceof Problem && read.error.type === QUESTIONED;
  return (
    <Modal
      open
      onClose={onClose}
      title={then === undefined ? `Meter of ${machine.tag}` : `What does the meter of ${machine.tag} say?`}
      about={`It said ${counted(machine.meter.face)} ${machine.usage_unit} ${
        machine.meter.read_at === null ? 'the last time' : moment(machine.meter.read_at)
      }.${then === undefined ? '' : ' Wear is told against it.'}`}
      cancel="Cancel"
      actions={
        <>
          <Button
            look="vivid"
            onClick={handleSubmit((draft) => read.mutate({ ...written(id, draft), sure: questioned }))}
            disabled={read.isPending}
            data-primary
          >
            {questioned ? 'I am sure, save it' : 'Save'}
            {then !== undefined && ` and ${then.says}`}
          </Button>
          {then !== undefined && <Unread onUnread={done} />}
          {!isReplaced && <Replaced look={then === undefined ? 'plain' : 'quiet'} onReplaced={replaced} />}
        </>
      }
    >
      <Flex direction="column" gap="3">
        {isReplaced && (
          <FormEntry
            control={control}
            field="old"
            label={`The old meter said at the end, ${machine.usage_unit}`}
            onTyped={read.reset}
            kind="whole"
            most={9}
            name="replaced_at"
          />
        )}
        <FormEntry
          control={control}
          field="face"
          label={!isReplaced ? `It says now, ${machine.usage_unit}` : `The new one says, ${machine.usage_unit}`}
          onTyped={read.reset}
          kind="whole"
          most={9}
          name="face"
        />
      </Flex>
      {read.isError && <Refusal error={read.error} />}
    </Modal>
  );
}

const Replaced = ({ look, onReplaced }: { look: 'plain' | 'quiet'; onReplaced: () => void }) => (
  <Button look={look} onClick={onReplaced} data-replaced>
    It was replaced
  </Button>
);

const Unread = ({ onUnread }: { onUnread: () => void }) => (
  <Button look="plain" onClick={onUnread} data-unread>
    Not read now
  </Button>
);
