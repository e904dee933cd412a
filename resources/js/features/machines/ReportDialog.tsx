import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys } from '../../api/keys';
import { type Machine, machineQuery, reportOdd } from '../../api/machines';
import { Area, Button, FieldLabel } from '../../components/Buttons';
import { Modal } from '../../components/Modal';
import { PickOne } from '../../components/PickOne';
import { Refusal } from '../../components/Refusal';
import { uuid } from '../../lib/uuid';

const sayings = [
  'Lever feels soft',
  'Hard to pull',
  'Does not spring back',
  'Creeps',
  'Slips',
  'Play changed',
] as const;

/** Somebody says that something feels odd, in their own words. */
export const ReportDialog = ({ machine, onClose }: { machine: Machine; onClose: () => void }) => {
  const [words, setWords] = useState('');
  const [control, setControl] = useState<string | null>(null);
  const [id] = useState(uuid);
  const client = useQueryClient();
  const send = useMutation({
    mutationFn: () => reportOdd(machine.tag, { id, words: words.trim(), ...(control === null ? {} : { control }) }),
    onSuccess: (after) => {
      client.setQueryData(machineQuery(machine.tag).queryKey, after);
      void client.invalidateQueries({ queryKey: keys.bench });
      onClose();
    },
  });
  return (
    <Modal
      open
      onClose={onClose}
      title={`What feels odd on ${machine.tag}?`}
      cancel="Cancel"
      actions={
        <Button
          look="vivid"
          onClick={() => send.mutate()}
          disabled={words.trim() === '' || send.isPending}
          data-primary
        >
          Report it
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <PickOne
          says="Which control"
          mark="odd-control"
          options={machine.controls.map((one) => ({ key: one.key, label: one.name }))}
          value={control}
          onPick={(key) => setControl(key === control ? null : key)}
        />
        <Box>
          <FieldLabel htmlFor="odd-words">In the words of whoever rode or ran it</FieldLabel>
          <Area
            id="odd-words"
            rows={3}
            maxLength={500}
            value={words}
            onChange={(event) => setWords(event.target.value)}
            width="100%"
          />
        </Box>
        <Flex gap="2" flexWrap="wrap">
          {sayings.map((saying) => (
            <Button key={saying} look="quiet" size="small" onClick={() => setWords(saying)}>
              {saying}
            </Button>
          ))}
        </Flex>
      </Flex>
      {send.isError && <Refusal error={send.error} />}
    </Modal>
  );
};
