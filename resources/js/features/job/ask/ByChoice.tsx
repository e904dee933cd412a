import { useState } from 'react';
import { Area, Button, FieldLabel } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { useBench } from '../useBench';

/** Leaving it outside the band on purpose: only where the family allows it, with the reason and the name. */
export const ByChoice = () => {
  const { state, send } = useBench();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  if (!state.family.allows_by_choice || !['too_loose', 'too_tight', 'cant_tell'].includes(state.now.verdict))
    return null;
  const leave = () => {
    send({ kind: 'by_choice', body: { reason: reason.trim() } });
    setOpen(false);
  };
  return (
    <>
      <Button look="link" paddingInline="0" onClick={() => setOpen(true)} alignSelf="flex-start">
        Leave it outside by choice
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="Leave it outside by choice"
        about="Who wants it so, and why. It shows on the sheet and on every later screen of this control."
        cancel="Cancel"
        actions={
          <Button look="vivid" onClick={leave} disabled={reason.trim() === ''} data-primary>
            Leave it so
          </Button>
        }
      >
        <FieldLabel htmlFor="choice-reason">Reason</FieldLabel>
        <Area
          id="choice-reason"
          rows={3}
          maxLength={500}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </Modal>
    </>
  );
};
