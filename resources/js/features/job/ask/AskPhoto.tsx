import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { say } from '../../../api/client';
import { type Item, putPhoto } from '../../../api/jobs';
import { Button, Field, FieldLabel } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { FilePick } from '../../../components/FilePick';
import { uuid } from '../../../lib/uuid';
import { Pictures } from '../beside/Pictures';
import { useBench } from '../useBench';
import { AskCard } from './AskCard';

type Sending = { is: 'idle' } | { is: 'busy' } | { is: 'failed'; why: string };

/** Before anything comes off: a picture, or how it ran in words. */
export const AskPhoto = ({ item }: { item: Item }) => {
  const { job, state, send } = useBench();
  const [sending, setSending] = useState<Sending>({ is: 'idle' });
  const [words, setWords] = useState('');
  const answer = item.answers[0];
  const taken = state.beside.photos.length > 0;
  const take = async (picture: File) => {
    const id = uuid();
    setSending({ is: 'busy' });
    try {
      await putPhoto(job.id, id, picture);
      send({ kind: 'photo', body: { photo: id, of: 'route and fittings' } });
      setSending({ is: 'idle' });
    } catch (error) {
      setSending({ is: 'failed', why: say(error) });
    }
  };
  const done = () => {
    if (answer !== undefined)
      send({ kind: answer.kind, body: words.trim() === '' ? answer.body : { ...answer.body, remark: words.trim() } });
  };
  return (
    <AskCard eyebrow="Replace the cable" title={item.label}>
      {item.caution !== null && <Caution>{item.caution}</Caution>}
      <Box display="grid" data-take-photo>
        <FilePick
          look="vivid"
          size="tall"
          accept="image/*"
          capture="environment"
          disabled={sending.is === 'busy'}
          onPick={(picture) => void take(picture)}
        >
          {sending.is === 'busy' ? 'Sending the picture' : taken ? 'Take another' : 'Take a picture'}
        </FilePick>
      </Box>
      {sending.is === 'failed' && (
        <Box bg="red.wash" borderRadius="sm" padding="2" lineHeight="snug" role="alert">
          {sending.why}
        </Box>
      )}
      <Pictures />
      <form
        onSubmit={(event) => {
          event.preventDefault();
          done();
        }}
      >
        <FieldLabel htmlFor="route-words">
          {taken ? 'What else to keep' : 'Or write down how it ran, and in which hole'}
        </FieldLabel>
        <Field id="route-words" value={words} maxLength={300} onChange={(event) => setWords(event.target.value)} />
        <Flex marginTop="3">
          <Button
            type="submit"
            look={taken ? 'vivid' : 'plain'}
            size="tall"
            flex="1"
            disabled={!taken && words.trim() === ''}
            data-primary={taken ? true : undefined}
            data-noted
          >
            Noted: go on
          </Button>
        </Flex>
      </form>
    </AskCard>
  );
};
