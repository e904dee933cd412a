import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { PracticeMachine } from '../../api/practice';
import { Button } from '../../components/Buttons';
import { paint } from '../../theme/paint';
import { useBench } from '../job/useBench';
import { Range } from './Range';
import { useAcross } from './useAcross';
import { usePractice } from './usePractice';

type End = PracticeMachine['ends'][number];

/** Where its tip lies, taken off and home in its seat, in the units of the drawing. */
const [OFF, HOME] = [369, 540];

/** The ends of its cables: each is taken by hand, hooked in, and let go. What was done is not written by itself. */
export const HookIt = () => {
  const { attempt } = usePractice();
  const { send, mayWrite } = useBench();
  const { ends, hooked } = attempt.machine;
  return (
    <Flex direction="column" gap="4">
      {hooked && (
        <Flex gap="3" alignItems="center" flexWrap="wrap" padding="3" borderRadius="md" bg="amber.wash" data-hooked>
          <Box flex="1 1 {sizes.48}" lineHeight="snug">
            Hooked, and not written yet.
          </Box>
          <Button
            look="dark"
            size="small"
            disabled={!mayWrite}
            onClick={() => send({ kind: 'put_right', body: { cure: 'ferrule' } })}
            data-write-hooked
          >
            Write it down
          </Button>
        </Flex>
      )}
      {ends.map((end) => (
        <OneEnd key={end.key} end={end} />
      ))}
    </Flex>
  );
};

const OneEnd = ({ end }: { end: End }) => {
  const { act, busy } = usePractice();
  // Where the hand holds it; null where nobody does.
  const [held, setHeld] = useState<number | null>(null);
  const at = held ?? end.in;
  const id = `practice-end-${end.key.replace('/', '-')}`;
  const letGo = (where: number) => {
    if (where !== end.in) act({ act: 'hook', of: end.key, in: where }, () => setHeld(null));
  };
  const after = (moved: number) => Math.round(100 * Math.min(1, Math.max(0, end.in + moved / (HOME - OFF)))) / 100;
  const across = useAcross({
    width: 600,
    height: 110,
    isStill: busy,
    onGo: (moved) => setHeld(after(moved)),
    onDrop: (moved) => letGo(after(moved)),
    onLost: () => setHeld(null),
  });
  return (
    <Box data-cable-end={end.key}>
      <Box asChild textStyle="eyebrow">
        <label htmlFor={id}>{end.label}</label>
      </Box>
      <Box asChild width="100%" height="24" cursor="grab" touchAction="none">
        <svg viewBox="0 0 600 110" aria-hidden="true" {...across} data-end-drawn={end.key}>
          <Drawn at={at} />
        </svg>
      </Box>
      <Flex gap="3" alignItems="center">
        <Range
          id={id}
          type="range"
          min={0}
          max={1}
          step={0.01}
          value={at}
          disabled={busy}
          onChange={(event) => setHeld(Number(event.target.value))}
          aria-valuetext={`${Math.round(100 * at)} % of the way in`}
          data-end-slide={end.key}
        />
        <Button
          look={at === end.in ? 'quiet' : 'vivid'}
          size="small"
          flexShrink="0"
          disabled={busy || at === end.in}
          onClick={() => letGo(at)}
          data-let-go={end.key}
        >
          Let go
        </Button>
      </Flex>
    </Box>
  );
};

const Drawn = ({ at }: { at: number }) => {
  const tip = OFF + (HOME - OFF) * at;
  return (
    <>
      <rect x="420" y="10" width="160" height="90" rx="10" fill={paint['steel.dark']} />
      <rect x="420" y="36" width="120" height="38" fill={paint.sheet} />
      <path d="M420 10V36M420 74V100" stroke={paint.ink} strokeWidth="4" />
      <path d="M-600 55H270" stroke={paint['steel.mid']} strokeWidth="26" />
      <rect x="268" y="36" width="14" height="38" rx="3" fill={paint.ink} />
      <path d={`M282 55H${tip - 66}`} stroke={paint.ink} strokeWidth="5" />
      <rect x={tip - 70} y="39" width="70" height="32" rx="8" fill={paint.action} />
    </>
  );
};
