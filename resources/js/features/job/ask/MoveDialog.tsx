import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Adjuster } from '../../../api/jobs';
import { Button } from '../../../components/Buttons';
import { Modal } from '../../../components/Modal';
import { capital } from '../../../lib/capital';
import { lengthUnit } from '../../../lib/figures';
import { useBench } from '../useBench';

const counted = (turns: number, flats: number) => `${turns > 0 ? `${turns}t` : ''}${flats > 0 ? `${flats}f` : ''}`;

/** A cam has no flats to count: eighths of a turn. */
const parted = (turns: number, eighths: number) =>
  `${[turns > 0 ? String(turns) : '', eighths > 0 ? `${eighths}/8` : ''].filter(Boolean).join(' ')}t`;

/** What slides is moved by a length: by millimetres, or by sixteenths for somebody who thinks in inches. */
const SLIDES = {
  mm: { name: 'Millimetres', letters: 'mm' },
  in: { name: 'Sixteenths of an inch', letters: '/16in' },
} as const;

/** A move done otherwise than shown, composed with big buttons into the line one would type. */
export const MoveDialog = ({ open, onClose }: { open: boolean; onClose: () => void }) => {
  const { adjuster, sendLine, send } = useBench();
  const [sign, setSign] = useState<Sign>('+');
  const [turns, setTurns] = useState(0);
  const [flats, setFlats] = useState(0);
  if (adjuster === null) return null;
  const turned = adjuster.unit === 'turn';
  const hex = adjuster.kind !== 'cam_screw';
  const { name, letters } =
    adjuster.unit === 'mm' ? SLIDES[lengthUnit()] : { name: capital(adjuster.units), letters: adjuster.letters };
  const line = turned ? `${sign}${hex ? counted(turns, flats) : parted(turns, flats)}` : `${sign}${turns}${letters}`;
  const nothing = turns + flats === 0;
  const done = (log: () => void) => {
    log();
    setTurns(0);
    setFlats(0);
    onClose();
  };
  return (
    <Modal
      open={open}
      onClose={onClose}
      title="What did you move?"
      cancel="Cancel"
      actions={
        <>
          <Button look="vivid" disabled={nothing} onClick={() => done(() => sendLine(line))} data-primary>
            {nothing ? 'Log the move' : `Log ${line}`}
          </Button>
          <Button
            look="plain"
            onClick={() => done(() => send({ kind: 'move', body: { adjuster: adjuster.id, uncounted: true } }))}
          >
            I did not count
          </Button>
          <Button
            look="plain"
            onClick={() => done(() => send({ kind: 'thread', body: { adjuster: adjuster.id, seized: true } }))}
            data-seized
          >
            It will not turn
          </Button>
        </>
      }
    >
      <WhichAdjuster chosen={adjuster} />
      <WhichWay adjuster={adjuster} sign={sign} onSign={setSign} />
      <Stepper name={name} value={turns} onChange={setTurns} most={99} />
      {turned && (
        <Stepper name={hex ? 'Flats' : 'Eighths of a turn'} value={flats} onChange={setFlats} most={hex ? 5 : 7} />
      )}
    </Modal>
  );
};

const WhichAdjuster = ({ chosen }: { chosen: Adjuster }) => {
  const { state, chooseAdjuster } = useBench();
  const movable = state.adjusters.filter((one) => one.sets === 'play' || one.sets === 'speed');
  return (
    <Flex gap="2" flexWrap="wrap" role="group" aria-label="Adjuster">
      {movable.map((one) => (
        <Button
          key={one.id}
          look={one.id === chosen.id ? 'dark' : 'quiet'}
          aria-pressed={one.id === chosen.id}
          onClick={() => chooseAdjuster(one.id)}
        >
          {one.name}
        </Button>
      ))}
    </Flex>
  );
};

type Sign = '+' | '-';

type WhichWayProps = { adjuster: Adjuster; sign: Sign; onSign: (sign: Sign) => void };

const WhichWay = ({ adjuster, sign, onSign }: WhichWayProps) => {
  const directions = [
    { sign: '-', name: capital(adjuster.inward) },
    { sign: '+', name: capital(adjuster.outward) },
  ] as const;
  return (
    <Flex gap="2" marginTop="3" role="group" aria-label="Direction">
      {directions.map((one) => (
        <Button
          key={one.sign}
          look={one.sign === sign ? 'dark' : 'quiet'}
          aria-pressed={one.sign === sign}
          flex="1"
          size="tall"
          onClick={() => onSign(one.sign)}
        >
          {one.name}
        </Button>
      ))}
    </Flex>
  );
};

const Stepper = ({
  name,
  value,
  onChange,
  most,
}: {
  name: string;
  value: number;
  onChange: (value: number) => void;
  most: number;
}) => (
  <Flex alignItems="center" gap="3" marginTop="3">
    <Box fontFamily="heading" fontWeight="bold" fontSize="lg" flex="1">
      {name}
    </Box>
    <Button
      look="plain"
      size="tall"
      minWidth="16"
      aria-label={`One of the ${name.toLowerCase()} less`}
      disabled={value === 0}
      onClick={() => onChange(value - 1)}
    >
      −
    </Button>
    <Box textStyle="figure" fontSize="2xl" width="12" textAlign="center" aria-live="polite">
      {value}
    </Box>
    <Button
      look="plain"
      size="tall"
      minWidth="16"
      aria-label={`One of the ${name.toLowerCase()} more`}
      disabled={value === most}
      onClick={() => onChange(value + 1)}
    >
      +
    </Button>
  </Flex>
);
