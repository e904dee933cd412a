import { useState } from 'react';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { PickOne } from '../../../components/PickOne';
import { useBench } from '../useBench';

/** Something was straightened, reseated or freed at any stage: what was read before and after does not compare. */
export const ChangedOnTheBench = () => {
  const { state, send } = useBench();
  const [open, setOpen] = useState(false);
  const [cure, setCure] = useState<string | null>(null);
  const [remark, setRemark] = useState('');
  const log = () => {
    if (cure === null) return;
    send({ kind: 'put_right', body: { cure, ...(remark.trim() === '' ? {} : { remark: remark.trim() }) } });
    setOpen(false);
    setCure(null);
    setRemark('');
  };
  return (
    <>
      <Button look="link" paddingInline="0" onClick={() => setOpen(true)} data-changed>
        Something was put right
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="What was put right?"
        about="What was read and tried before no longer compares, and is asked for again."
        cancel="Cancel"
        actions={
          <Button look="vivid" onClick={log} disabled={cure === null} data-primary>
            Log it
          </Button>
        }
      >
        <PickOne says="What was put right" mark="cure" options={state.beside.cures} value={cure} onPick={setCure} />
        <FieldLabel htmlFor="changed-remark" marginTop="3">
          What was done
        </FieldLabel>
        <Field id="changed-remark" value={remark} maxLength={300} onChange={(event) => setRemark(event.target.value)} />
      </Modal>
    </>
  );
};
