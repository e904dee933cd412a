import { useState } from 'react';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { PickOne } from '../../../components/PickOne';
import { useBench } from '../useBench';

/** A new part went on: what was read before no longer compares, and some parts make the ratio a new one. */
export const FitPart = () => {
  const { state, send } = useBench();
  const [open, setOpen] = useState(false);
  const [part, setPart] = useState<string | null>(null);
  const [remark, setRemark] = useState('');
  const fit = () => {
    if (part === null) return;
    send({ kind: 'part', body: { part, ...(remark.trim() === '' ? {} : { remark: remark.trim() }) } });
    setOpen(false);
    setPart(null);
    setRemark('');
  };
  return (
    <>
      <Button look="link" paddingInline="0" onClick={() => setOpen(true)}>
        A new part went on
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="Which part is new?"
        about="What was read before no longer compares. Read it again after, and measure the threads anew."
        cancel="Cancel"
        actions={
          <Button look="vivid" onClick={fit} disabled={part === null} data-primary>
            Log it
          </Button>
        }
      >
        <PickOne says="Part" mark="part" options={state.parts} value={part} onPick={setPart} />
        <FieldLabel htmlFor="part-remark" marginTop="3">
          Part number, or what else to keep
        </FieldLabel>
        <Field id="part-remark" value={remark} maxLength={300} onChange={(event) => setRemark(event.target.value)} />
      </Modal>
    </>
  );
};
