import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Button } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { Select } from '../../../components/Select';
import type { Dimension } from '../../../lib/gaugeLine';
import { serialGauge } from './useSerialGauge';

const speeds = [1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200] as const;
const usual = 9600;
const units = {
  length: [
    { key: '', label: 'It sends its unit' },
    { key: 'mm', label: 'Bare figures are mm' },
    { key: 'in', label: 'Bare figures are inches' },
  ],
  force: [
    { key: '', label: 'It sends its unit' },
    { key: 'N', label: 'Bare figures are N' },
    { key: 'lbf', label: 'Bare figures are lbf' },
    { key: 'kgf', label: 'Bare figures are kgf' },
  ],
} as const satisfies Record<Dimension, readonly { key: string; label: string }[]>;

/** Instruments that may hang on it. */
export type OnWire = { id: string; name: string; dimension: Dimension };

type Props = { choices: readonly OnWire[]; chosen: string | undefined; onClose: () => void };

/** Which instrument hangs on the wire, and how it speaks; the browser asks for the wire itself. */
export default function SerialDialog({ choices, chosen, onClose }: Props) {
  const [which, setWhich] = useState(chosen ?? choices[0]?.id ?? '');
  const [speed, setSpeed] = useState<number>(usual);
  const [unit, setUnit] = useState('');
  const one = choices.find((choice) => choice.id === which);
  const connect = () => {
    if (one === undefined) return;
    onClose();
    const { id, name, dimension } = one;
    void serialGauge.connect({ instrument: id, name, dimension, speed, unit: unit === '' ? null : unit });
  };
  return (
    <Modal
      open
      onClose={onClose}
      title="Connect a gauge to this device"
      about="For a gauge with a cable to this computer. Your browser asks next which line it is on."
      cancel="Cancel"
      actions={
        <Button look="vivid" onClick={connect} disabled={one === undefined} data-primary>
          Choose its line
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <Box>
          <Select
            beside
            says="Instrument"
            pick="serial-instrument"
            value={which}
            options={choices.map((choice) => ({ key: choice.id, label: choice.name }))}
            onPick={(id) => {
              setWhich(id);
              setUnit('');
            }}
          />
        </Box>
        <Select
          beside
          says="Speed of its line"
          pick="serial-speed"
          value={String(speed)}
          options={speeds.map((one) => ({ key: String(one), label: `${one} bits a second` }))}
          onPick={(key) => setSpeed(Number(key))}
        />
        <Select
          beside
          says="Its unit"
          pick="serial-unit"
          value={unit}
          options={[...units[one?.dimension ?? 'length']]}
          onPick={setUnit}
        />
      </Flex>
    </Modal>
  );
}
