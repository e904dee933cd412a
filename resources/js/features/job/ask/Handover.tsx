import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Area, Button, FieldLabel } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { moment } from '../../../lib/time';
import { useBench } from '../useBench';

/** The job is put down for somebody else: who was on it, and what they should know. */
export const Handover = () => {
  const { job, send } = useBench();
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState('');
  const hand = () => {
    send({ kind: 'note', body: { text: `Handover: ${words.trim()}` } });
    setWords('');
    setOpen(false);
  };
  return (
    <>
      <Button look="link" paddingInline="0" onClick={() => setOpen(true)} data-handover-open>
        Hand over
      </Button>
      <Modal
        open={open}
        onClose={() => setOpen(false)}
        title="Hand the job over"
        about="What you write stands in the log, and on the Bench for whoever carries on."
        cancel="Cancel"
        actions={
          <Button look="vivid" onClick={hand} disabled={words.trim() === ''} data-primary>
            Hand over
          </Button>
        }
      >
        <Flex direction="column" gap="3">
          <Box>
            <FieldLabel htmlFor="handover">What should they know?</FieldLabel>
            <Area
              id="handover"
              rows={3}
              maxLength={400}
              width="100%"
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
          </Box>
          <Box textStyle="small">
            On this job: {job.people.map((one) => `${one.name}, last ${moment(one.at)}`).join('; ')}
          </Box>
        </Flex>
      </Modal>
    </>
  );
};
