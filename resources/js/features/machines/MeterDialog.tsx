import { Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Problem } from '../../api/client';
import { keys } from '../../api/keys';
import { type Machine, machineQuery, readMeter } from '../../api/machines';
import { Button } from '../../components/Buttons';
import { Entry } from '../../components/Entry';
import { Modal } from '../../components/Modal';
import { Refusal } from '../../components/Refusal';
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

function useReadMeter(machine: Machine, face: string, old: string | null, done: () => void) {
  const [id] = useState(uuid);
  const client = useQueryClient();
  return useMutation({
    mutationFn: (sure: boolean) =>
      readMeter(machine.tag, {
        id,
        face: whole(face) ?? -1,
        ...(old === null ? {} : { replaced_at: whole(old) ?? -1 }),
        ...(sure ? { sure } : {}),
      }),
    onSuccess: (after) => {
      client.setQueryData(machineQuery(machine.tag).queryKey, after);
      void client.invalidateQueries({ queryKey: keys.bench });
      done();
    },
  });
}

/** The meter as it reads now; one that goes backward is questioned, and a replaced one goes on. */
export const MeterDialog = ({ machine, onClose, then }: MeterDialogProps) => {
  const [face, setFace] = useState('');
  const [old, setOld] = useState<string | null>(null);
  const read = useReadMeter(machine, face, old, () => {
    onClose();
    then?.go();
  });
  const unread = () => {
    onClose();
    then?.go();
  };
  const replaced = () => {
    setOld('');
    read.reset();
  };
  const complete = whole(face) !== null && (old === null || whole(old) !== null);
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
            onClick={() => read.mutate(questioned)}
            disabled={!complete || read.isPending}
            data-primary
          >
            {questioned ? 'I am sure, save it' : 'Save'}
            {then !== undefined && ` and ${then.says}`}
          </Button>
          {then !== undefined && <Unread onUnread={unread} />}
          {old === null && <Replaced look={then === undefined ? 'plain' : 'quiet'} onReplaced={replaced} />}
        </>
      }
    >
      <Flex direction="column" gap="3">
        {old !== null && (
          <Entry
            label={`The old meter said at the end, ${machine.usage_unit}`}
            value={old}
            onChange={setOld}
            kind="whole"
            most={9}
            name="replaced_at"
          />
        )}
        <Entry
          label={old === null ? `It says now, ${machine.usage_unit}` : `The new one says, ${machine.usage_unit}`}
          value={face}
          onChange={(value) => {
            setFace(value);
            read.reset();
          }}
          kind="whole"
          most={9}
          name="face"
          hint={face.trim() !== '' && whole(face) === null ? 'Whole figures only, as the meter shows them.' : undefined}
        />
      </Flex>
      {read.isError && <Refusal error={read.error} />}
    </Modal>
  );
};

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
