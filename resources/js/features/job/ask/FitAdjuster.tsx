import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Button } from '../../../components/Buttons';
import { Entry, Pick } from '../../../components/Entry';
import { Modal } from '../../../components/Modal';
import { type AdjusterDraft, emptyAdjuster, writtenAdjuster } from '../../specs/draft';
import { AdjusterFields } from '../../specs/form/AdjusterFields';
import { measuredBy } from '../../specs/words';
import { useBench } from '../useBench';

/** Neither thread nor travel is known before somebody looked. */
const unknown: AdjusterDraft = emptyAdjuster(1);

const says = (draft: AdjusterDraft): boolean => {
  const by = measuredBy[draft.kind as keyof typeof measuredBy] ?? 'nothing';
  const needed = { thread: [draft.thread, draft.travel], steps: [draft.step, draft.from, draft.to], nothing: [] }[by];
  return [draft.name, ...needed].every((one) => one.trim() !== '');
};

/** This machine has another adjuster than its model, or one more: the run is drawn with it from now on, and nothing read before compares. */
export const FitAdjuster = () => {
  const { state, send } = useBench();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState(unknown);
  const [place, setPlace] = useState('');
  const [remark, setRemark] = useState('');
  const { cables } = state.beside;
  const places = [
    ...state.adjusters.map((one) => ({ key: `of:${one.id}`, label: `In place of the ${one.name}` })),
    ...cables.map((one) => ({
      key: `on:${one.key}`,
      label: cables.length > 1 ? `One more on the ${one.label}` : 'One more, next to the working end',
    })),
  ];
  const fit = () => {
    const old = state.adjusters.find((one) => `of:${one.id}` === place);
    const cable = old?.cable ?? cables.find((one) => `on:${one.key}` === place)?.key;
    if (cable === undefined) return;
    // An id of its own: what was logged of the old one stays the old one's.
    const id = `fitted_${state.head.replace(/[^a-z0-9]/gi, '').slice(-12)}`;
    send({
      kind: 'adjuster',
      body: {
        cable,
        adjuster: writtenAdjuster({ ...draft, id }),
        ...(old === undefined ? {} : { in_place_of: old.id }),
        ...(remark.trim() === '' ? {} : { remark: remark.trim() }),
      },
    });
    setOpen(false);
    setDraft(unknown);
    setPlace('');
    setRemark('');
  };
  if (state.beside.not_settable !== null && state.adjusters.length === 0) return null;
  return (
    <>
      <Button look="link" paddingInline="0" onClick={() => setOpen(true)} data-fit-adjuster>
        Another adjuster is on it
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="Which adjuster is on this machine?"
        about="It stays on this machine, for this job and the next ones; the spec of the model stays as it is. What was read before does not compare with what comes after."
        cancel="Cancel"
        actions={
          <Button look="vivid" onClick={fit} disabled={place === '' || !says(draft)} data-primary>
            Log it
          </Button>
        }
      >
        <Pick
          label="Where"
          value={place}
          onChange={setPlace}
          options={[{ key: '', label: 'Choose its place' }, ...places]}
          name="fit-place"
        />
        <AdjusterFields whole adjuster={draft} onChange={(change) => setDraft({ ...draft, ...change })} />
        <Box marginTop="3">
          <Entry label="Its number, or where it came from" value={remark} onChange={setRemark} most={300} />
        </Box>
      </Modal>
    </>
  );
};
