import { Box, chakra, Flex } from '@chakra-ui/react';
import { useSyncExternalStore } from 'react';
import { outbox } from '../../lib/outbox';
import { preferencesOf } from '../../lib/preferences';
import { useSignedIn } from '../../lib/signedIn';
import { useKept } from '../../lib/store';
import { clock } from '../../lib/time';
import { useOutboxStatus } from './useBench';

const Key = chakra('kbd', {
  base: {
    bg: 'graphite.raised',
    borderWidth: 'thin',
    borderColor: 'graphite.edge',
    borderRadius: 'sm',
    paddingInline: '1.5',
    fontFamily: 'body',
    fontWeight: 'bold',
    fontSize: 'xs',
  },
});

const hints = [
  { keys: ['0–9'], says: 'type a reading anywhere' },
  { keys: ['+', '−'], says: 'log a move: +3f, -1.5t' },
  { keys: ['v'], says: 'take back, with a reason' },
  { keys: ['='], says: 'press the main button' },
  { keys: ['/'], says: 'find a machine' },
] as const;

/** The keys of the bench, and whether all that was logged is saved. */
export const Footer = () => {
  const { connection, kept } = useOutboxStatus();
  const { keysAnywhere } = useKept(preferencesOf(useSignedIn().id));
  const waiting = kept.filter((entry) => entry.state === 'waiting').length;
  const refused = kept.length - waiting;
  const saved = useSyncExternalStore(outbox.subscribe, outbox.lastSaved);
  return (
    <Flex
      as="footer"
      bg="frame"
      color="onFrameSoft"
      data-frame
      alignItems="center"
      gap="5"
      paddingInline="5"
      minHeight="9"
      fontSize="sm"
      flexShrink="0"
      order="9"
    >
      <Flex gap="5" display={{ base: 'none', lg: 'flex' }}>
        {keysAnywhere &&
          hints.map((hint) => (
            <Flex key={hint.says} gap="1.5" alignItems="center">
              {hint.keys.map((key) => (
                <Key key={key}>{key}</Key>
              ))}
              {hint.says}
            </Flex>
          ))}
      </Flex>
      <Box marginLeft="auto" data-saved={kept.length === 0 && connection === 'calm'} aria-live="polite">
        {refused > 0
          ? `${refused} refused${waiting > 0 ? `, ${waiting} kept` : ''}: look at ${refused === 1 ? 'it' : 'them'}`
          : waiting > 0
            ? connection === 'cut' || connection === 'signed_out'
              ? `${waiting} kept, not judged yet`
              : 'Saving'
            : saved === null
              ? 'All entries saved'
              : `All entries saved ${clock(saved)}`}
      </Box>
    </Flex>
  );
};
