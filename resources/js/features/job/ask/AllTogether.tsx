import { Box, type BoxProps, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { Item, Stage } from '../../../api/jobs';
import { useSignedIn } from '../../../lib/signedIn';
import { useBench } from '../useBench';

/** Long enough to be meant, short enough for a cold hand. */
const HOLD_MS = 900;

const Hold = chakra('button', {
  base: {
    position: 'relative',
    overflow: 'hidden',
    width: '100%',
    marginTop: '3',
    minHeight: 'touch',
    borderRadius: 'md',
    borderWidth: 'medium',
    borderColor: 'ink',
    fontWeight: 'bold',
    paddingInline: '4',
    textAlign: 'left',
    cursor: 'pointer',
    userSelect: 'none',
    touchAction: 'none',
    display: 'flex',
    justifyContent: 'space-between',
    alignItems: 'center',
  },
});

/** The open lines of a stage, listed, and one button that is held to confirm them all. An apprentice has none: line by line. */
export const AllTogether = ({ stage }: { stage: Stage }) => {
  const person = useSignedIn();
  const { send } = useBench();
  const together = stage.together;
  if (together === null || !person.may_sign_off) return null;
  return (
    <Box borderTopWidth="thin" borderColor="line" paddingTop="3" data-together>
      <Box textStyle="eyebrow" id="together">
        Or all of them at once
      </Box>
      <TogetherLines stage={stage} keys={together.keys} marginTop="1" aria-labelledby="together" />
      <HoldButton
        label={`Hold: ${together.label.toLowerCase()}`}
        hint={together.word}
        onHeld={() => send({ kind: 'all_confirmed', body: { keys: together.keys } })}
      />
    </Box>
  );
};

type TogetherLinesProps = { stage: Stage; keys: readonly string[] } & BoxProps;

/** What is confirmed together, on a narrow screen; on a wide one it stands beside it, each line with its caution. */
export const TogetherLines = ({ stage, keys, ...box }: TogetherLinesProps) => (
  <Box as="ul" display={{ base: 'block', lg: 'none' }} {...box}>
    {keys
      .map((key) => stage.items.find((one) => one.key === key))
      .filter((one): one is Item => one !== undefined)
      .map((one) => (
        <Box as="li" key={one.key} listStyleType="disc" marginLeft="5" lineHeight="snug" paddingBlock="0.5">
          {one.label}
          {(one.caution ?? one.detail) !== null && (
            <Box textStyle="small" fontWeight="normal">
              {one.caution ?? one.detail}
            </Box>
          )}
        </Box>
      ))}
  </Box>
);

type HoldButtonProps = { label: string; hint?: string; vivid?: boolean; onHeld: () => void };

/** Does its work only when it was held: by finger, mouse, Enter or space. */
export const HoldButton = ({ label, hint, vivid = false, onHeld }: HoldButtonProps) => {
  const [held, setHeld] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const letGo = () => {
    if (timer.current !== null) clearTimeout(timer.current);
    timer.current = null;
    setHeld(false);
  };
  const take = () => {
    if (timer.current !== null) return;
    setHeld(true);
    timer.current = setTimeout(() => {
      letGo();
      onHeld();
    }, HOLD_MS);
  };
  useEffect(
    () => () => {
      if (timer.current !== null) clearTimeout(timer.current);
    },
    [],
  );
  return (
    <Hold
      type="button"
      onPointerDown={take}
      onPointerUp={letGo}
      onPointerLeave={letGo}
      onPointerCancel={letGo}
      onContextMenu={(event) => event.preventDefault()}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        take();
      }}
      onKeyUp={letGo}
      onBlur={letGo}
      borderColor={vivid ? 'action' : undefined}
      minHeight={vivid ? 'tall' : undefined}
      data-hold
    >
      <Box
        as="span"
        aria-hidden="true"
        position="absolute"
        inset="0"
        bg="vivid.wash"
        transformOrigin="left"
        style={{
          transform: `scaleX(${held ? 1 : 0})`,
          transition: held ? `transform ${HOLD_MS}ms linear` : 'transform 120ms',
        }}
      />
      <Box as="span" position="relative">
        {label}
      </Box>
      <Box
        as="span"
        position="relative"
        fontSize="sm"
        fontWeight="normal"
        aria-hidden="true"
        display={{ base: 'none', lg: 'inline' }}
      >
        {hint}
      </Box>
    </Hold>
  );
};
