import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { OutcomeTable } from '../../../api/beside';
import { Button } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { isStuck } from '../asks';
import { useArmed } from '../useArmed';
import { useBench, useOutboxStatus } from '../useBench';
import { AskCard } from './AskCard';
import { Cures } from './Cures';
import { HangTag } from './HangTag';
import { MoveDialog } from './MoveDialog';

/** Which way at the arm, how far, and with which cable: from what the machine did at its settings. */
export const SetByOutcome = ({ table }: { table: OutcomeTable }) => {
  const { advice } = table;
  if (advice.kind === 'move') return <Shift table={table} />;
  const stop = isStuck(table);
  const titles = {
    try: 'Try it again',
    which_way: `Which way did the ${table.arm} go?`,
    right: 'Every setting is right',
    contradiction: 'The settings contradict each other',
    out_of_reach: 'No cable reaches it',
  } as const satisfies Record<typeof advice.kind, string>;
  return (
    <AskCard eyebrow="Set" title={titles[advice.kind]}>
      <Box lineHeight="snug" data-advice={advice.kind}>
        {advice.sentence}
      </Box>
      {advice.suspects.length === 0 && <Imitators />}
      {stop && (
        <>
          <Box textStyle="small">Tap what was put right. Every setting is tried again then.</Box>
          <Cures tall suspects={advice.suspects} />
          <HangTag />
        </>
      )}
    </AskCard>
  );
};

const Shift = ({ table }: { table: OutcomeTable }) => {
  const { state, send, chooseAdjuster } = useBench();
  const { kept } = useOutboxStatus();
  const [moving, setMoving] = useState(false);
  const { advice } = table;
  const armed = useArmed(state.head);
  const waiting = kept.some((entry) => entry.state === 'waiting');
  const adjuster = state.adjusters.find((one) => one.id === advice.adjuster);
  const covered = adjuster !== undefined && adjuster.cover !== null && !adjuster.cover_off;
  const log = () => {
    if (covered) send({ kind: 'cover', body: { adjuster: adjuster.id, off: true } });
    else if (advice.body !== null) send({ kind: 'move', body: advice.body });
    else {
      chooseAdjuster(advice.adjuster ?? '');
      setMoving(true);
    }
  };
  return (
    <AskCard
      eyebrow={`At the ${table.arm}${advice.certain ? '' : ' · a trial'}`}
      title={
        <>
          <Box as="span" display="block" fontSize="4xl" lineHeight="0.98">
            {advice.shift_size}
          </Box>
          <Box as="span" display="block" lineHeight="1.02">
            {advice.shift_way}
          </Box>
        </>
      }
      aside={<Arrow back={(advice.shift ?? 0) < 0} />}
    >
      <Box lineHeight="snug" data-advice="move">
        {advice.how}
      </Box>
      {adjuster?.caution != null && <Caution compact>{adjuster.caution}</Caution>}
      <Flex gap="2">
        <Button
          look="vivid"
          size="tall"
          flex="1"
          fontSize="lg"
          paddingInline="2"
          whiteSpace="nowrap"
          onClick={log}
          disabled={!armed || waiting}
          data-primary
          data-done={covered ? undefined : true}
        >
          {covered
            ? `The ${adjuster.cover} is off`
            : waiting
              ? 'Kept, not judged yet'
              : advice.body === null
                ? 'Moved: say how far'
                : 'Done, now try it'}
        </Button>
        {advice.body !== null && (
          <Button
            look="plain"
            paddingInline="2"
            onClick={() => {
              chooseAdjuster(advice.adjuster ?? '');
              setMoving(true);
            }}
            aria-label="I moved it differently"
          >
            Differently
          </Button>
        )}
      </Flex>
      <Imitators />
      <MoveDialog open={moving} onClose={() => setMoving(false)} />
    </AskCard>
  );
};

const Arrow = ({ back }: { back: boolean }) => (
  <Box color="action" flexShrink="0">
    <svg viewBox="0 0 72 56" width="72" height="56" aria-hidden="true">
      <path
        d="M8 28H58M40 10L60 28L40 46"
        fill="none"
        stroke="currentColor"
        strokeWidth="8"
        strokeLinecap="round"
        strokeLinejoin="round"
        transform={back ? 'rotate(180 36 28)' : ''}
      />
    </svg>
  </Box>
);

/** Faults that look like a bad adjustment and are none. */
export const Imitators = () => {
  const { imitators } = useBench().state.beside;
  if (imitators.length === 0) return null;
  return (
    <Box textStyle="small" borderTopWidth="thin" borderColor="line" paddingTop="2">
      {imitators.map((one) => (
        <div key={one}>{one}</div>
      ))}
    </Box>
  );
};
