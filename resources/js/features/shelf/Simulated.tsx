import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { type SimulatedGauge, workGauge } from '../../api/simulated';
import { Button, Sheet } from '../../components/Buttons';
import { Entry } from '../../components/Entry';
import { Refusal } from '../../components/Refusal';
import { Select } from '../../components/Select';

const faults = [
  { key: 'none', label: 'Nothing wrong' },
  { key: 'dropout', label: 'Sends nothing' },
  { key: 'half', label: 'Sends half a line' },
  { key: 'garbage', label: 'Sends garbage' },
  { key: 'unit', label: 'Switched to the other unit' },
  { key: 'low', label: 'Battery low' },
] as const;

/** Gauges that are none: a hand sets what they measure, presses their button, and spoils them. */
export const Simulated = ({ gauges }: { gauges: readonly SimulatedGauge[] }) => (
  <Sheet padding="4" aria-label="Simulated gauges">
    <Heading as="h2" fontSize="lg">
      Simulated gauges
    </Heading>
    <Box lineHeight="snug" marginTop="1" maxWidth="184">
      They send what real ones would, over a line of their own. Open a job beside this page, let the caliper speak
      there, and press its button here.
    </Box>
    <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="4" marginTop="3">
      {gauges.map((gauge) => (
        <OneGauge key={gauge.key} gauge={gauge} />
      ))}
    </Grid>
  </Sheet>
);

const begins: Record<string, string> = { mm: '4.2', N: '48' };

const OneGauge = ({ gauge }: { gauge: SimulatedGauge }) => {
  const [of, setOf] = useState(begins[gauge.unit] ?? '1');
  const [fault, setFault] = useState('none');
  const [held, setHeld] = useState(false);
  const [plugged, setPlugged] = useState(true);
  const [hangs, setHangs] = useState('');
  const work = useMutation({ mutationFn: (words: readonly string[]) => workGauge(gauge.key, words) });
  const size = of.trim().replace(',', '.');
  const isSize = /^\d{1,4}(\.\d{1,4})?$/.test(size);
  return (
    <Box bg="well" borderRadius="md" padding="3" data-simulated={gauge.key}>
      <Box fontFamily="heading" fontWeight="bold" fontSize="lg">
        {gauge.name}
      </Box>
      <Grid templateColumns="1fr 1fr" gap="3" marginTop="2" alignItems="end">
        {gauge.machines.length > 0 && (
          <Box gridColumn="1 / -1">
            <Select
              beside
              says="Connected to"
              pick={`hangs-${gauge.key}`}
              value={hangs}
              options={[
                { key: '', label: 'Nothing: it shows what is typed below' },
                ...gauge.machines.map((one) => ({ key: one.key, label: one.name })),
              ]}
              onPick={(key) => {
                setHangs(key);
                if (key !== '') work.mutate([`hang ${key}`]);
              }}
              gridColumn="1 / -1"
            />
          </Box>
        )}
        {hangs === '' ? (
          <Entry label={`It measures, ${gauge.unit}`} value={of} onChange={setOf} kind="decimal" most={9} />
        ) : (
          <Box textStyle="small" lineHeight="snug">
            The play of that machine as it came in. Every press is another pull.
          </Box>
        )}
        <Button
          look="vivid"
          disabled={(hangs === '' && !isSize) || !plugged}
          onClick={() => work.mutate([hangs === '' ? `press ${size}` : 'press'])}
          data-press={gauge.key}
        >
          Press its button
        </Button>
        <Select
          beside
          says="What is wrong with it"
          pick={`fault-${gauge.key}`}
          value={fault}
          options={[...faults]}
          onPick={(key) => {
            setFault(key);
            work.mutate([`fault ${key}`]);
          }}
        />
        <Flex gap="2" wrap="wrap" gridColumn={{ base: '1 / -1', md: 'auto' }}>
          <Button
            look="plain"
            disabled={!plugged}
            onClick={() => {
              const lever = 1 + Math.floor(Math.random() * 999_999);
              // A force gauge sends all the while that it is pulled.
              setHangs('');
              work.mutate(gauge.unit === 'N' ? [`pull ${lever}`] : [`lever ${lever}`, 'press']);
            }}
            data-pull={gauge.key}
          >
            Pull a practice lever
          </Button>
          <Button
            look="plain"
            onClick={() => {
              work.mutate(held ? ['let go'] : isSize && hangs === '' ? [`show ${size}`, 'hold'] : ['hold']);
              setHeld(!held);
            }}
            data-hold={gauge.key}
          >
            {held ? 'Let go' : 'Hold it'}
          </Button>
          <Button
            look="plain"
            onClick={() => {
              work.mutate([plugged ? 'unplug' : 'plug']);
              setPlugged(!plugged);
            }}
            data-unplug={gauge.key}
          >
            {plugged ? 'Unplug' : 'Plug in'}
          </Button>
        </Flex>
      </Grid>
      {work.isError && <Refusal error={work.error} />}
    </Box>
  );
};
