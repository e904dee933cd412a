import { chakra, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Area, Button } from '../../../components/Buttons';
import { Mark } from '../../../components/Marks';
import { Modal } from '../../../components/Modal';
import { useBench } from '../useBench';

/** The red tag: do not run, with its reason. */
export const HangTag = () => {
  const { state, send } = useBench();
  const failed = state.gates.find((gate) => gate.status === 'failed');
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const begin = () => {
    setReason(failed?.sentence ?? '');
    setOpen(true);
  };
  const hang = () => {
    send({ kind: 'tag', body: { reason: reason.trim() } });
    setOpen(false);
  };
  return (
    <>
      <Button look="stop" onClick={begin} data-hang-tag>
        <Mark kind="tag" />
        Tag it: do not run
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="Tag it: do not run"
        about="The reason stands on the tag, the sheet and every screen. Only a new job that passes, signed by a lead, lifts it."
        cancel="Cancel"
        actions={
          <Button look="stop" onClick={hang} disabled={reason.trim() === ''} data-primary>
            Hang the tag
          </Button>
        }
      >
        <Flex direction="column" gap="1">
          <chakra.label htmlFor="tag-reason" textStyle="eyebrow">
            Reason
          </chakra.label>
          <Area
            id="tag-reason"
            rows={3}
            value={reason}
            maxLength={500}
            onChange={(event) => setReason(event.target.value)}
          />
        </Flex>
      </Modal>
    </>
  );
};
