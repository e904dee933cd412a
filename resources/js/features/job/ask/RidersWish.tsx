import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { PickOne } from '../../../components/PickOne';
import { isNoSize, lengthTyped, lengthUnit } from '../../../lib/figures';
import { useBench } from '../useBench';

const bites = [
  { key: 'early', label: 'As it leaves the bar' },
  { key: 'middle', label: 'In the middle' },
  { key: 'late', label: 'At the very end' },
] as const;

/** How the rider wants it: inside the band, kept with the machine, aimed for now and next time. */
export const RidersWish = () => {
  const { state, send } = useBench();
  const { wish } = state;
  const [open, setOpen] = useState(false);
  const [mm, setMm] = useState('');
  const [bite, setBite] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const begin = () => {
    setMm(wish?.play_mm == null ? '' : String(wish.play_mm));
    setBite(wish?.bite ?? null);
    setSaid(wish?.said ?? '');
    setOpen(true);
  };
  const size = lengthTyped(mm);
  const save = () => {
    send({
      kind: 'policy',
      body: {
        wish: {
          ...(size === undefined ? {} : { play_mm: size }),
          ...(bite === null ? {} : { bite }),
          ...(said.trim() === '' ? {} : { said: said.trim() }),
        },
      },
    });
    setOpen(false);
  };
  return (
    <>
      <Button look="link" paddingInline="0" alignSelf="flex-start" onClick={begin} data-wish>
        {wish === null ? "The rider's wish" : `Rider's wish: ${wish.say}`}
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="How does the rider want it?"
        about="Inside the band of the book. It stays with the machine, is aimed for next time, and stands beside the book's figure."
        actions={
          <>
            <Button
              look="vivid"
              onClick={save}
              disabled={isNoSize(mm) || (size === undefined && bite === null)}
              data-primary
            >
              Save
            </Button>
            {wish !== null && (
              <Button
                look="plain"
                onClick={() => {
                  send({ kind: 'policy', body: { wish: {} } });
                  setOpen(false);
                }}
              >
                No wish any more
              </Button>
            )}
          </>
        }
      >
        <FieldLabel htmlFor="wish-mm">
          Play at the {state.spec.point_label}, {lengthUnit()}
        </FieldLabel>
        <Field id="wish-mm" inputMode="decimal" value={mm} onChange={(event) => setMm(event.target.value)} />
        {state.may_wish_bite && (
          <Box marginTop="3">
            <FieldLabel as="div">Where it bites</FieldLabel>
            <PickOne says="Where it bites" mark="bite" options={bites} value={bite} onPick={setBite} />
          </Box>
        )}
        <FieldLabel htmlFor="wish-said" marginTop="3">
          In their words
        </FieldLabel>
        <Field id="wish-said" value={said} maxLength={200} onChange={(event) => setSaid(event.target.value)} />
      </Modal>
    </>
  );
};
