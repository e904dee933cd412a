import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Button } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { SmallChoice } from '../../../components/SmallChoice';
import { useBench } from '../useBench';
import { serialGauge } from './useSerialGauge';

const speeds = [1200, 2400, 4800, 9600, 19200, 38400, 57600, 115200] as const;
const usual = 9600;
const units = [
  { key: '', name: 'It sends its unit' },
  { key: 'mm', name: 'Bare figures are mm' },
  { key: 'in', name: 'Bare figures are inches' },
] as const;

/** Which instrument hangs on the wire, and how it speaks; the browser asks for the wire itself. */
export default function SerialDialog({ onClose }: { onClose: () => void }) {
  const { state, instrument } = useBench();
  const [which, setWhich] = useState(instrument?.id ?? state.shelf[0]?.id ?? '');
  const [speed, setSpeed] = useState<number>(usual);
  const [unit, setUnit] = useState('');
  const connect = () => {
    onClose();
    void serialGauge.connect({ instrument: which, speed, unit: unit === '' ? null : unit });
  };
  return (
    <Modal
      open
      onClose={onClose}
      title="Connect a gauge to this device"
      about="For a gauge with a cable to this computer. Your browser asks next which line it is on."
      cancel="Cancel"
      actions={
        <Button look="vivid" onClick={connect} disabled={which === ''} data-primary>
          Choose its line
        </Button>
      }
    >
      <Flex direction="column" gap="3">
        <Box>
          <SmallChoice
            says="Instrument"
            pick="serial-instrument"
            value={which}
            options={state.shelf.map((one) => ({ key: one.id, name: one.name }))}
            onChange={setWhich}
          />
        </Box>
        <SmallChoice
          says="Speed of its line"
          pick="serial-speed"
          value={String(speed)}
          options={speeds.map((one) => ({ key: String(one), name: `${one} bits a second` }))}
          onChange={(key) => setSpeed(Number(key))}
        />
        <SmallChoice says="Its unit" pick="serial-unit" value={unit} options={[...units]} onChange={setUnit} />
      </Flex>
    </Modal>
  );
}
