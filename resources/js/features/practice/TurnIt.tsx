import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { PracticeMachine } from '../../api/practice';
import { Button } from '../../components/Buttons';
import { PickOne } from '../../components/PickOne';
import { capital } from '../../lib/capital';
import { paint } from '../../theme/paint';
import { useBench } from '../job/useBench';
import { useAcross } from './useAcross';
import { usePractice } from './usePractice';
import { nutToTurn } from './wanted';

type One = PracticeMachine['adjusters'][number];
export type Amount = { adjuster: string; out: boolean; counts: readonly number[] };

export const by = (one: One, amount: Amount): number =>
  (amount.out ? 1 : -1) * one.steps.reduce((sum, step, place) => sum + step.by * (amount.counts[place] ?? 0), 0);

/** Which adjuster, which way, how far. Large steps stand first, as they are said. */
export const useAmount = (adjusters: readonly One[], first: string | null) => {
  const [amount, setAmount] = useState<Amount>({ adjuster: first ?? adjusters[0]?.id ?? '', out: true, counts: [] });
  const one = adjusters.find((each) => each.id === amount.adjuster) ?? adjusters[0];
  return { amount, setAmount, one };
};

export const TurnPicker = ({
  adjusters,
  amount,
  setAmount,
  one,
}: {
  adjusters: readonly One[];
  amount: Amount;
  setAmount: (amount: Amount) => void;
  one: One;
}) => (
  <Flex direction="column" gap="3">
    {adjusters.length > 1 && (
      <PickOne
        says="Which adjuster"
        mark="turned"
        options={adjusters.map((each) => ({ key: each.id, label: each.name }))}
        value={one.id}
        onPick={(id) => setAmount({ ...amount, adjuster: id, counts: [] })}
      />
    )}
    <PickOne
      says="Which way"
      mark="turn-way"
      options={[
        { key: 'out', label: capital(one.out) },
        { key: 'in', label: capital(one.in) },
      ]}
      value={amount.out ? 'out' : 'in'}
      onPick={(key) => setAmount({ ...amount, out: key === 'out' })}
    />
    <Flex gap="4" flexWrap="wrap">
      {one.steps
        .map((step, place) => ({ step, place }))
        .reverse()
        .map(({ step, place }) => {
          const count = amount.counts[place] ?? 0;
          const change = (to: number) =>
            setAmount({
              ...amount,
              counts: one.steps.map((_, at) => (at === place ? Math.max(0, to) : (amount.counts[at] ?? 0))),
            });
          const said = count * step.amount;
          return (
            <Flex key={step.many} alignItems="center" gap="2">
              <Button
                look="plain"
                onClick={() => change(count - 1)}
                aria-label={`One ${step.one} less`}
                data-less={step.many}
              >
                −
              </Button>
              <Box minWidth="22" textAlign="center" fontWeight="bold" aria-live="polite" data-count={step.many}>
                {said} {said === 1 ? step.one : step.many}
              </Box>
              <Button
                look="plain"
                onClick={() => change(count + 1)}
                aria-label={`One ${step.one} more`}
                data-more={step.many}
              >
                +
              </Button>
            </Flex>
          );
        })}
    </Flex>
  </Flex>
);

/** A spanner on an adjuster: either way, as far as it goes. What was turned is not written by itself. */
export const TurnIt = () => {
  const { attempt, act, busy } = usePractice();
  const { adjuster, state, send, mayWrite } = useBench();
  const { adjusters, turned, is_advised } = attempt.machine;
  const { amount, setAmount, one } = useAmount(adjusters, nutToTurn(state, is_advised) ?? adjuster?.id ?? null);
  if (one === undefined) return null;
  const steps = by(one, amount);
  const isCovered = one.cover !== null && !one.cover_off;
  return (
    <Flex direction="column" gap="3">
      {turned.map((each) => (
        <Flex
          key={each.adjuster}
          gap="3"
          alignItems="center"
          flexWrap="wrap"
          padding="3"
          borderRadius="md"
          bg="amber.wash"
          data-unwritten={each.adjuster}
        >
          <Box flex="1 1 {sizes.48}" lineHeight="snug">
            Turned, and not written yet: <b>{each.say}</b>
          </Box>
          <Button
            look="dark"
            size="small"
            disabled={!mayWrite}
            onClick={() =>
              send({
                kind: 'move',
                body: {
                  adjuster: each.adjuster,
                  [adjusters.find((a) => a.id === each.adjuster)?.unit ?? 'turns']: each.by,
                },
              })
            }
            data-write
          >
            Write it down
          </Button>
        </Flex>
      ))}
      {one.cover !== null && <Cover one={one} cover={one.cover} />}
      {(one.cover === null || one.cover_off) && (one.holes ? <Holes one={one} /> : <Stands one={one} />)}
      <TurnPicker adjusters={adjusters} amount={amount} setAmount={setAmount} one={one} />
      <Button
        look={steps === 0 || isCovered ? 'plain' : 'vivid'}
        size="tall"
        disabled={busy || steps === 0 || isCovered}
        onClick={() => {
          act({ act: 'turn', of: one.id, by: steps });
          setAmount({ ...amount, adjuster: one.id, counts: [] });
        }}
        data-turn
      >
        {one.threaded ? 'Turn' : 'Move'} the {one.name}
      </Button>
    </Flex>
  );
};

/** What lies over an adjuster: it comes off before a spanner reaches it. It is written at the bench like everything else. */
const Cover = ({ one, cover }: { one: One; cover: string }) => {
  const { act, busy } = usePractice();
  return (
    <Flex gap="3" alignItems="center" flexWrap="wrap" data-cover={one.cover_off ? 'off' : 'on'}>
      <Box flex="1 1 {sizes.48}" lineHeight="snug">
        {one.cover_off ? `The ${cover} is off.` : `The ${cover} is over it.`}
      </Box>
      <Button
        look={one.cover_off ? 'plain' : 'dark'}
        disabled={busy}
        onClick={() => act({ act: one.cover_off ? 'shut' : 'open', of: one.id })}
        data-uncover={one.id}
      >
        {one.cover_off ? `Put the ${cover} back` : `Take the ${cover} off`}
      </Button>
    </Flex>
  );
};

/** Where it stands, to be seen and not told: the thread that shows, or the place in its row. */
const Stands = ({ one }: { one: One }) => {
  const [from, to] = [40, 560];
  const span = one.to === one.from ? 1 : one.to - one.from;
  const x = from + ((to - from) * (one.at - one.from)) / span;
  const ticks = one.threaded ? 48 : Math.min(60, Math.round(span));
  return (
    <Box asChild width="100%" height="18">
      <svg viewBox="0 0 600 80" role="img" aria-label={`${one.name}: it stands ${said(one)}`}>
        <rect x={from - 26} y="12" width="26" height="48" rx="4" fill={paint['steel.dark']} />
        <rect x={from} y="26" width={to - from} height="20" fill={paint['steel.light']} />
        {Array.from({ length: ticks + 1 }, (_, n) => from + ((to - from) * n) / ticks).map((at) => (
          <path key={at} d={`M${at} 26v20`} stroke={paint['steel.mid']} strokeWidth="2" />
        ))}
        <rect x={x - 9} y="12" width="18" height="48" rx="4" fill={paint.action} />
        {numbered(one).map((at) => (
          <text key={at} x={from + ((to - from) * at) / span} y="77" fontSize="14" textAnchor="middle" fill={paint.ink}>
            {at}
          </text>
        ))}
        <text x="592" y="16" fontSize="14" textAnchor="end" fill={paint.ink}>
          {one.out} →
        </text>
        <text x={from + 6} y="16" fontSize="14" fill={paint.ink}>
          ← {one.in}
        </text>
      </svg>
    </Box>
  );
};

/** A wire hooked in one of a row of holes: taken out, and dropped into the one it is held over. */
const Holes = ({ one }: { one: One }) => {
  const { act, busy } = usePractice();
  const [held, setHeld] = useState<number | null>(null);
  const at = held ?? one.at;
  const [from, to] = [80, 560];
  const span = Math.max(1, one.to - one.from);
  const x = (hole: number) => from + ((to - from) * (hole - one.from)) / span;
  const over = (moved: number) => Math.min(one.to, Math.max(one.from, one.at + (moved * span) / (to - from)));
  const across = useAcross({
    width: 600,
    height: 110,
    isStill: busy,
    onGo: (moved) => setHeld(over(moved)),
    onDrop: (moved) => {
      const hole = Math.round(over(moved));
      setHeld(hole === one.at ? null : hole);
      if (hole !== one.at) act({ act: 'turn', of: one.id, by: hole - one.at }, () => setHeld(null));
    },
    onLost: () => setHeld(null),
  });
  return (
    <Box asChild width="100%" height="24" cursor="grab" touchAction="none">
      <svg
        viewBox="0 0 600 110"
        role="img"
        aria-label={`${one.name}: it stands ${said(one)}`}
        {...across}
        data-holes={one.id}
      >
        <rect x="40" y="52" width="550" height="44" rx="10" fill={paint['steel.dark']} />
        {Array.from({ length: span + 1 }, (_, hole) => one.from + hole).map((hole) => (
          <circle key={hole} cx={x(hole)} cy="74" r="11" fill={paint.sheet} data-hole={hole} />
        ))}
        <path d={`M-600 28H${x(at)}V74`} stroke={paint.action} strokeWidth="8" strokeLinejoin="round" fill="none" />
        <circle cx={x(at)} cy="74" r="6" fill={paint.action} />
        <text x="592" y="18" fontSize="18" textAnchor="end" fill={paint.ink}>
          {one.out} →
        </text>
      </svg>
    </Box>
  );
};

/** Turns or steps that are written below it, few enough to be read. */
const numbered = (one: One): readonly number[] => {
  const every = one.to - one.from > 24 ? 10 : one.to - one.from > 12 ? 5 : 2;
  return Array.from({ length: Math.floor((one.to - one.from) / every) + 1 }, (_, n) => n * every);
};

const said = (one: One): string => {
  const at = Math.round((one.at - one.from) * 10) / 10;
  return one.threaded
    ? `${at} turns out of ${Math.round((one.to - one.from) * 10) / 10}`
    : `at ${at} of ${one.to - one.from}`;
};
