import { Box, Flex } from '@chakra-ui/react';
import { Button } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { isHeld, type KeptEntry, outbox } from '../../lib/outbox';
import { inWords } from './asks';
import { useLine } from './Pad';
import { useBench, useOutboxStatus } from './useBench';

/**
 * Entries kept here: not judged yet, or refused and waiting to be put right. What was refused is seen wherever on a
 * phone its answer was tapped: it stays at the foot of the window until its person has looked.
 */
export const NotSent = () => {
  const { kept, connection } = useOutboxStatus();
  const away = connection === 'cut' || connection === 'signed_out';
  const stuck = kept
    .map((entry, place) => ({ entry, held: isHeld(kept.slice(0, place), entry) }))
    .filter(({ entry, held }) => entry.state === 'refused' || held || away);
  if (stuck.length === 0) return null;
  const refused = stuck.some(({ entry }) => entry.state === 'refused');
  return (
    <Box
      role={refused ? 'alert' : undefined}
      order={{ base: refused ? '9' : '4', lg: '0' }}
      position={{ base: refused ? 'sticky' : 'static', lg: 'static' }}
      bottom="0"
      zIndex={{ base: 'header', lg: 'auto' }}
      maxHeight={{ base: '50dvh', lg: 'none' }}
      overflowY="auto"
      flex={{ lg: '0 0 auto' }}
      marginInline={{ base: refused ? '0' : '3', lg: '0' }}
      marginTop={{ base: '3', lg: '0' }}
      paddingInline={{ base: refused ? '4' : '3', lg: '3' }}
      bg={refused ? 'red.wash' : 'well'}
      borderTopWidth={refused ? 'thick' : 'thin'}
      borderColor={refused ? 'stop' : 'line'}
      borderRadius={{ base: refused ? '0' : 'md', lg: 'md' }}
      boxShadow={{ base: refused ? 'raised' : 'none', lg: 'none' }}
    >
      <ul aria-label="Not sent">
        {stuck.map(({ entry, held }, place) => (
          <One key={entry.id} entry={entry} held={held} first={place === 0} />
        ))}
      </ul>
    </Box>
  );
};

const One = ({ entry, held, first }: { entry: KeptEntry; held: boolean; first: boolean }) => {
  const { field, state } = useBench();
  const [line, setLine] = useLine();
  const { draft } = entry;
  const refused = entry.state === 'refused';
  return (
    <Flex
      as="li"
      gap="2"
      alignItems="flex-start"
      paddingBlock="2"
      borderTopWidth={first ? '0' : 'thin'}
      borderColor="line"
      data-kept={entry.state}
    >
      <Mark kind={refused ? 'wrong' : 'cant_tell'} size="text" style={{ marginTop: '3px' }} />
      <Box flex="1" minWidth="0" lineHeight="snug" fontSize="sm">
        <Box as="b" overflowWrap="anywhere">
          {inWords(draft, state)}
        </Box>
        <Box>{refused ? entry.sentence : held ? 'waits: one before it was refused' : 'kept, not judged yet'}</Box>
        <Flex gap="4">
          {refused && 'line' in draft && line === '' && (
            <Button
              look="link"
              paddingInline="0"
              onClick={() => {
                setLine(draft.line);
                outbox.putRight(entry);
                field.current?.focus();
              }}
            >
              Put it right
            </Button>
          )}
          <Button look="link" paddingInline="0" onClick={() => outbox.drop(entry.id)}>
            Discard it
          </Button>
        </Flex>
      </Box>
    </Flex>
  );
};
