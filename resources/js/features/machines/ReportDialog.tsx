import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQueries, useQueryClient } from '@tanstack/react-query';
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

/** Somebody says that something feels odd, in their own words; and whether it is something by which nobody runs the machine. */
export const ReportDialog = ({ machine, onClose }: { machine: Machine; onClose: () => void }) => {
  const [words, setWords] = useState('');
  const only = machine.controls.length === 1 ? machine.controls[0] : undefined;
  const [control, setControl] = useState<string | null>(only?.key ?? null);
  const [noneStops, setNoneStops] = useState(false);
  const known = useKnown(machine, control, words);
  const [id] = useState(uuid);
  const client = useQueryClient();
  const send = useMutation({
    mutationFn: () =>
      reportOdd(machine.tag, {
        id,
        words: words.trim(),
        ...(control === null ? {} : { control }),
        ...(noneStops && known.mayStop.length === 0 ? { none_stops: true } : {}),
      }),
    onSuccess: (after) => {
      client.setQueryData(machineQuery(machine.tag).queryKey, after);
      void client.invalidateQueries({ queryKey: keys.bench });
      onClose();
    },
  });
  const unanswered = known.dangers.length > 0 && known.mayStop.length === 0 && !noneStops;
  const add = (more: string) => setWords((now) => saidToo(now, more));
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
          disabled={words.trim() === '' || known.isPending || unanswered || send.isPending}
          data-primary
        >
          {words.trim() !== '' && unanswered ? 'Say if it is one of these' : 'Report it'}
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <PickOne
          says="Which control"
          mark="odd-control"
          options={machine.controls.map((one) => ({ key: one.key, label: one.name }))}
          value={control}
          onPick={(key) => {
            setControl(key === control ? null : key);
            // Another control has other dangers: what was said of the one before is no answer.
            setNoneStops(false);
          }}
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
        {known.mayStop.length > 0 ? (
          <MayStop meant={known.mayStop} />
        ) : (
          <DoesItStop
            dangers={known.dangers}
            none={noneStops}
            onSay={(more) => {
              setNoneStops(false);
              add(more);
            }}
            onNone={() => setNoneStops(!noneStops)}
          />
        )}
        {control === null ? (
          <Box textStyle="small">Say which control it is, for more words to choose from.</Box>
        ) : (
          <ToChoose from={known.others} onSay={add} />
        )}
      </Flex>
      {send.isError && <Refusal error={send.error} />}
    </Modal>
  );
};

/** What may be felt of a control, or of any where none is named; and what the words tell of by which nobody runs it. */
function useKnown(machine: Machine, control: string | null, words: string) {
  const asked = useDeferredValue(control === null ? '' : words.trim());
  const known = useQueries({
    queries: machine.controls
      .filter((one) => control === null || one.key === control)
      .map((one) => symptomsQuery(machine.tag, one.key, asked)),
  });
  // Two controls have symptoms of the same words: they stand there once.
  const dangers = [...new Set(known.flatMap((one) => one.data?.dangers ?? []))];
  const others = known.flatMap((one) => one.data?.symptoms.filter((symptom) => !symptom.stops) ?? []);
  return {
    isPending: known.some((one) => one.isPending),
    dangers,
    others: others.map((one) => one.words),
    mayStop:
      control === null
        ? dangers.filter((one) => words.includes(one))
        : known.flatMap((one) => one.data?.may_stop ?? []),
  };
}

type StopProps = { dangers: readonly string[]; none: boolean; onSay: (words: string) => void; onNone: () => void };

/** Words may not be understood: so what stops a machine is asked by name before a report of it goes out. */
const DoesItStop = ({ dangers, none, onSay, onNone }: StopProps) =>
  dangers.length === 0 ? null : (
    <Box role="group" aria-labelledby="does-it-stop" data-does-it-stop>
      <Box id="does-it-stop" fontWeight="bold" color="stop" marginBottom="1.5">
        Is it one of these? Then nobody runs it.
      </Box>
      <Flex gap="2" flexWrap="wrap">
        <Felt from={dangers} onSay={onSay} look="plain" />
        <Button look={none ? 'dark' : 'plain'} size="small" aria-pressed={none} onClick={onNone} data-none-stops>
          None of these
        </Button>
      </Flex>
    </Box>
  );

/** On a phone a long list rolls by itself, so that Report it stays in sight. */
const ToChoose = ({ from, onSay }: { from: readonly string[]; onSay: (words: string) => void }) =>
  from.length === 0 ? null : (
    <Box role="group" aria-labelledby="or-in-these-words">
      <Box id="or-in-these-words" textStyle="small" marginBottom="1.5">
        Words to choose from
      </Box>
      <Flex gap="2" flexWrap="wrap" maxHeight={{ base: '30dvh', md: 'none' }} overflowY="auto">
        <Felt from={from} onSay={onSay} look="quiet" />
      </Flex>
    </Box>
  );

type FeltProps = { from: readonly string[]; onSay: (words: string) => void; look: 'plain' | 'quiet' };

const Felt = ({ from, onSay, look }: FeltProps) =>
  from.map((one) => (
    <Button key={one} look={look} size="small" textAlign="left" onClick={() => onSay(one)} data-feels={one}>
      {one}
    </Button>
  ));

/** What was typed stays; what is on the list comes after it, once. */
function saidToo(words: string, more: string): string {
  const said = words.trim();
  if (said.includes(more)) return words;
  if (said === '') return more;
  return `${said}${/[.!?]$/.test(said) ? '' : '.'} ${more}`;
}
