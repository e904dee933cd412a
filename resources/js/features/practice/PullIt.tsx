import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { PointKey, PoseKey } from '../../api/jobs';
import type { PracticeMachine } from '../../api/practice';
import { Button } from '../../components/Buttons';
import { PickOne } from '../../components/PickOne';
import { lengthUnit, measuredText, shortLength, unitText } from '../../lib/figures';
import { paint } from '../../theme/paint';
import { useBench } from '../job/useBench';
import { Gap } from './Gap';
import { Range } from './Range';
import { Scale } from './Scale';
import { usePractice } from './usePractice';

type Held = NonNullable<PracticeMachine['held']>;
type Instrument = PracticeMachine['instruments'][number];

/** Once it resists, a hand that goes further moves it by so much of that. */
const GIVES = 0.3;

/** The control is pulled against a force that grows, with an instrument held to it, and read with one's own eyes. */
export const PullIt = () => {
  const { attempt, act, busy } = usePractice();
  const bench = useBench();
  const { points, poses, instruments, held } = attempt.machine;
  const [point, setPoint] = useState<PointKey | null>(null);
  const [pose, setPose] = useState<PoseKey | null>(null);
  const at = point ?? bench.point?.key ?? points[0]?.key;
  const how = pose ?? bench.pose;
  const instrument = instruments.find((one) => one.id === bench.instrument?.id) ?? instruments[0];
  if (at === undefined || instrument === undefined) return null;
  const isHeld = held !== null && held.point === at && held.pose === how;
  return (
    <Flex direction="column" gap="3">
      {points.length > 1 && (
        <PickOne says="Where" mark="point" options={points} value={at} onPick={(key) => setPoint(key as PointKey)} />
      )}
      {poses.length > 1 && (
        <PickOne says="Bars" mark="pose" options={poses} value={how} onPick={(key) => setPose(key as PoseKey)} />
      )}
      <SnapBack />
      <Flex gap="3" flexWrap="wrap" alignItems="center">
        <PickOne
          says="With what"
          mark="instrument"
          options={instruments.map((one) => ({ key: one.id, label: one.name }))}
          value={instrument.id}
          onPick={bench.chooseInstrument}
        />
        <Button
          look={isHeld ? 'quiet' : 'vivid'}
          size={isHeld ? 'touch' : 'tall'}
          flex="1 1 {sizes.48}"
          disabled={busy}
          onClick={() => act({ act: 'hold', point: at, pose: how })}
          data-hold
        >
          {isHeld ? 'Let go, pull again' : `Hold the ${instrument.name.toLowerCase()} to it`}
        </Button>
      </Flex>
      {isHeld && isSlippedIn(instrument) && (
        <Gap key={`${instrument.id} ${held.mm}`} mm={held.mm} instrument={instrument} />
      )}
      {isHeld && !isSlippedIn(instrument) && (
        <Pulled key={`${at} ${how} ${held.mm}`} held={held} instrument={instrument} />
      )}
    </Flex>
  );
};

const isSlippedIn = ({ kind }: Instrument): boolean => kind === 'feeler' || kind === 'coin';

/** Turned, a cable lies where it stays only once it was pulled fully and let snap back. Nobody says so here. */
const SnapBack = () => {
  const { attempt, act, busy } = usePractice();
  const { snapped } = attempt.machine;
  return (
    <Flex gap="3" alignItems="center" flexWrap="wrap">
      <Button look="plain" disabled={busy} onClick={() => act({ act: 'snap' })} data-snap>
        Pull fully, let it snap back
      </Button>
      {snapped > 0 && (
        <Box color="soft" role="status" data-snapped={snapped}>
          {snapped === 1 ? 'Done once' : `Done ${snapped} times`}
        </Box>
      )}
    </Flex>
  );
};

const Pulled = ({ held, instrument }: { held: Held; instrument: Instrument }) => {
  const [mm, setMm] = useState(0);
  // Nobody looks square on by itself.
  const [eye, setEye] = useState(held.mm % 1 < 0.5 ? 0.8 : -0.8);
  const most = held.force[held.force.length - 1]?.[0] ?? held.mm;
  const pull = (to: number) => {
    const wanted = Math.min(most, Math.max(0, to));
    setMm(wanted <= held.mm ? wanted : held.mm + (wanted - held.mm) * GIVES);
  };
  const newtons = forceAt(held.force, mm);
  const isDigital = instrument.kind === 'caliper';
  return (
    <Flex direction="column" gap="2" data-pulled={held.mm}>
      <Hand mm={mm} most={most} isGrip={held.point.startsWith('grip')} onPull={pull} />
      <Box>
        <Box asChild textStyle="eyebrow">
          <label htmlFor="practice-pull">Pull it until it resists</label>
        </Box>
        <Range
          id="practice-pull"
          type="range"
          min={0}
          max={most}
          step={isDigital ? 0.05 : 0.1}
          value={mm}
          onChange={(event) => pull(Number(event.target.value))}
          aria-valuetext={`Force ${measuredText(newtons, 0, 'N')} ${unitText('N')}`}
          data-pull
        />
      </Box>
      <Force newtons={newtons} most={held.force[held.force.length - 1]?.[1] ?? 1} />
      {isDigital ? (
        <Digital mm={mm} resolution={instrument.resolution_mm} />
      ) : (
        <Scale mm={mm} eye={eye} resolution={instrument.resolution_mm} />
      )}
      {!isDigital && (
        <Box>
          <Box asChild textStyle="eyebrow">
            <label htmlFor="practice-eye">Your eye: square on where the line covers its mirror image</label>
          </Box>
          <Range
            id="practice-eye"
            type="range"
            min={-1}
            max={1}
            step={0.02}
            value={eye}
            onChange={(event) => setEye(Number(event.target.value))}
            aria-valuetext={Math.abs(eye) < 0.03 ? 'square on' : eye < 0 ? 'from the left' : 'from the right'}
            data-eye
          />
        </Box>
      )}
      <Box color="soft" lineHeight="snug">
        Type what stands at the line where it begins to resist.
      </Box>
    </Flex>
  );
};

const forceAt = (curve: Held['force'], mm: number): number => {
  for (let n = 1; n < curve.length; n++) {
    const [from, to] = [curve[n - 1] ?? [0, 0], curve[n] ?? [0, 0]];
    const [x0 = 0, y0 = 0] = from;
    const [x1 = 0, y1 = 0] = to;
    if (mm <= x1 || n === curve.length - 1) return x1 === x0 ? y1 : y0 + ((y1 - y0) * (mm - x0)) / (x1 - x0);
  }
  return 0;
};

const Force = ({ newtons, most }: { newtons: number; most: number }) => (
  <Flex gap="3" alignItems="center" data-force={newtons.toFixed(1)}>
    <Box width="100%" height="5" bg="well" borderWidth="thin" borderColor="line" borderRadius="sm" overflow="hidden">
      <Box
        height="100%"
        bg={newtons > most / 8 ? 'action' : 'inside'}
        style={{ width: `${Math.min(100, (100 * newtons) / most)}%` }}
      />
    </Box>
    <Box minWidth="20" textAlign="right" fontWeight="bold">
      {measuredText(newtons, 0, 'N')} {unitText('N')}
    </Box>
  </Flex>
);

/** It has a cable: its button is a reading of the job, as at the bench. */
const Digital = ({ mm, resolution }: { mm: number; resolution: number }) => {
  const { sendLine, mayWrite } = useBench();
  const shown = Math.round(mm / resolution) * resolution;
  return (
    <Flex gap="3" alignItems="stretch" flexWrap="wrap">
      <Display says={`${shortLength(shown)} ${lengthUnit()}`} />
      <Button look="plain" disabled={!mayWrite} onClick={() => sendLine(`${shown.toFixed(2)} mm`)} data-send>
        Press its button
      </Button>
    </Flex>
  );
};

const Display = ({ says }: { says: string }) => (
  <Flex
    flex="1 1 {sizes.48}"
    justifyContent="center"
    padding="3"
    bg="ink"
    color="sheet"
    borderRadius="md"
    fontSize="4xl"
    fontWeight="bold"
    data-digital
  >
    {says}
  </Flex>
);

/** The control itself, under the pointer: dragged it goes along, and harder once it resists. */
const Hand = ({
  mm,
  most,
  isGrip,
  onPull,
}: {
  mm: number;
  most: number;
  isGrip: boolean;
  onPull: (mm: number) => void;
}) => {
  const from = useRef<{ y: number; mm: number } | null>(null);
  const perPixel = most / 160;
  return (
    <Box asChild width="100%" height={{ base: '24', md: '26' }} cursor="grab" touchAction="none">
      <svg
        viewBox="0 0 600 180"
        aria-hidden="true"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          from.current = { y: event.clientY, mm };
        }}
        onPointerMove={(event) => {
          if (from.current !== null) onPull(from.current.mm + (event.clientY - from.current.y) * perPixel);
        }}
        onPointerUp={() => {
          from.current = null;
        }}
        data-hand
      >
        {isGrip ? <Grip mm={mm} /> : <Lever mm={mm} most={most} />}
      </svg>
    </Box>
  );
};

const Lever = ({ mm, most }: { mm: number; most: number }) => (
  <>
    <rect x="10" y="136" width="580" height="26" rx="13" fill={paint['steel.dark']} />
    <rect x="30" y="30" width="52" height="112" rx="10" fill={paint['steel.mid']} />
    <g transform={`rotate(${(11 * mm) / most} 62 52)`}>
      <path d="M62 52Q260 26 560 62" stroke={paint['steel.mid']} strokeWidth="22" strokeLinecap="round" fill="none" />
      <circle cx="560" cy="62" r="15" fill={paint['steel.mid']} />
      <path d="M560 62V92" stroke={paint.action} strokeWidth="4" />
    </g>
    <circle cx="62" cy="52" r="12" fill={paint['steel.dark']} />
  </>
);

const Grip = ({ mm }: { mm: number }) => (
  <>
    <circle cx="300" cy="92" r="82" fill={paint['steel.light']} stroke={paint.ink} strokeWidth="2" />
    <circle cx="300" cy="92" r="48" fill={paint['steel.dark']} />
    <g transform={`rotate(${mm * 4} 300 92)`}>
      <path d="M300 12V44" stroke={paint.action} strokeWidth="6" />
      {[60, 120, 180, 240, 300].map((at) => (
        <path key={at} d="M300 14V26" stroke={paint['steel.mid']} strokeWidth="4" transform={`rotate(${at} 300 92)`} />
      ))}
    </g>
    <path d="M300 0V12" stroke={paint.ink} strokeWidth="4" />
  </>
);
