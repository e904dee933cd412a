import { useState } from 'react';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { PickOne } from '../../../components/PickOne';
import { within } from '../../../lib/capital';
import { useBench } from '../useBench';

/** A new part went on: what was read before no longer compares, and some parts make the ratio a new one. */
export const FitPart = ({ part: named }: { part?: string }) => {
  const { state, send } = useBench();
  const [open, setOpen] = useState(false);
  const [part, setPart] = useState<string | null>(named ?? null);
  const [remark, setRemark] = useState('');
  const fit = () => {
    if (part === null) return;
    send({ kind: 'part', body: { part, ...(remark.trim() === '' ? {} : { remark: remark.trim() }) } });
    setOpen(false);
    setPart(named ?? null);
    setRemark('');
  };
  const label = state.parts.find((one) => one.key === named)?.label;
  return (
    <>
      <Button
        look={label === undefined ? 'link' : 'plain'}
        paddingInline={label === undefined ? '0' : undefined}
        justifyContent={label === undefined ? undefined : 'flex-start'}
        onClick={() => setOpen(true)}
        data-fit-part={named}
      >
        {label === undefined ? 'A new part went on' : `New ${within(label)} fitted`}
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
