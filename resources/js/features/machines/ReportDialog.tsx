import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { symptomsQuery } from '../../api/complaints';
import { keys } from '../../api/keys';
import { type Machine, machineQuery, reportOdd } from '../../api/machines';
import { Area, Button, FieldLabel } from '../../components/Buttons';
import { MayStop } from '../../components/MayStop';
import { Modal } from '../../components/Modal';
import { PickOne } from '../../components/PickOne';
import { Refusal } from '../../components/Refusal';
import { uuid } from '../../lib/uuid';

/** Somebody says that something feels odd, in their own words. */
export const ReportDialog = ({ machine, onClose }: { machine: Machine; onClose: () => void }) => {
  const [words, setWords] = useState('');
  const only = machine.controls.length === 1 ? machine.controls[0] : undefined;
  const [control, setControl] = useState<string | null>(only?.key ?? null);
  const asked = useDeferredValue(words.trim());
  const { data: known } = useQuery({
    ...symptomsQuery(machine.tag, control ?? '', asked),
    enabled: control !== null,
  });
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
        <MayStop meant={known?.may_stop ?? []} />
        {control === null && machine.controls.length > 1 && (
          <Box textStyle="small">Say which control it is, for words to choose from.</Box>
        )}
        {/* On a phone a long list rolls by itself, so that Report it stays in sight. */}
        {control !== null && known !== undefined && (
          <Flex gap="2" flexWrap="wrap" maxHeight={{ base: '30dvh', md: 'none' }} overflowY="auto">
            {known.symptoms.map((one) => (
              <Button
                key={one.key}
                look="quiet"
                size="small"
                textAlign="left"
                onClick={() => setWords((now) => saidToo(now, one.words))}
                data-feels={one.key}
              >
                {one.words}
              </Button>
            ))}
          </Flex>
        )}
      </Flex>
      {send.isError && <Refusal error={send.error} />}
    </Modal>
  );
};

/** What was typed stays; what is on the list comes after it, once. */
function saidToo(words: string, more: string): string {
  const said = words.trim();
  if (said.includes(more)) return words;
  if (said === '') return more;
  return `${said}${/[.!?]$/.test(said) ? '' : '.'} ${more}`;
}
