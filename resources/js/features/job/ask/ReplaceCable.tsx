import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Button } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { PickOne } from '../../../components/PickOne';
import { useBench } from '../useBench';

/** Begins the steps of fitting another cable, with its reason. Nothing where one is being fitted, or there is none. */
export const ReplaceCable = ({ look = 'link' }: { look?: 'vivid' | 'plain' | 'link' }) => {
  const vivid = look === 'vivid';
  const { state, send } = useBench();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState<string | null>(null);
  const { cables } = state.beside;
  const [cable, setCable] = useState<string | null>(null);
  const under = state.beside.replacing;
  if ((under !== null && !under.over) || state.beside.not_settable !== null) return null;
  return (
    <>
      <Button
        look={look}
        size={vivid ? 'tall' : 'touch'}
        paddingInline={look === 'link' ? '0' : undefined}
        justifyContent={look === 'plain' ? 'flex-start' : undefined}
        onClick={() => setOpen(true)}
        data-replace={look === 'link' ? true : undefined}
        data-replace-now={look === 'link' ? undefined : true}
        data-primary={vivid && !open ? true : undefined}
      >
        Replace the cable
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title={cables.length > 1 ? 'Which cable, and why?' : 'Why is it replaced?'}
        about="Its steps come next: notes and pictures first, then old and new side by side, before anything is fitted."
        cancel="Cancel"
        actions={
          <Button
            look="vivid"
            disabled={reason === null || (cables.length > 1 && cable === null)}
            onClick={() => {
              send({
                kind: 'replacing',
                body: { key: 'begin', reason, ...(cables.length > 1 ? { cable } : {}) },
              });
              setOpen(false);
            }}
            data-primary
          >
            Begin
          </Button>
        }
      >
        {cables.length > 1 && (
          <Box marginBottom="3">
            <PickOne says="Cable" mark="cable" options={cables} value={cable} onPick={setCable} />
          </Box>
        )}
        <PickOne says="Reason" mark="reason" options={state.beside.reasons} value={reason} onPick={setReason} />
      </Modal>
    </>
  );
};
