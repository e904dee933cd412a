import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { Problem, say } from '../../api/client';
import { putTrace } from '../../api/traces';
import { Area, Button, FieldLabel, Sheet } from '../../components/Buttons';
import { Caution } from '../../components/Caution';
import { FilePick } from '../../components/FilePick';
import { lengthUnit, unitText } from '../../lib/figures';
import { uuid } from '../../lib/uuid';
import { PointsSent } from './PointsSent';
import { Recorded } from './Recorded';
import { useSent } from './useSent';

type Way = 'file' | 'typed' | 'recorded';
type Taking = { is: 'idle' } | { is: 'busy' } | { is: 'refused'; way: Way; lines: readonly string[] };

const lines = (error: unknown): readonly string[] =>
  error instanceof Problem && error.missing.length > 0 ? ['Nothing of it was kept.', ...error.missing] : [say(error)];

/** A pull comes in: as a file of a gauge, or point by point from a spring balance and a rule. */
export const TakePull = ({ job, moved, onTaken }: { job: string; moved: string; onTaken: (id: string) => void }) => {
  const [taking, setTaking] = useState<Taking>({ is: 'idle' });
  const [typed, setTyped] = useState('');
  const take = async (points: Blob, way: Way) => {
    const id = uuid();
    setTaking({ is: 'busy' });
    try {
      await putTrace(job, id, points);
      onTaken(id);
    } catch (error) {
      setTaking({ is: 'refused', way, lines: lines(error) });
    }
  };
  const sent = useSent(job, {
    point: (line) => setTyped((before) => (before.trim() === '' ? line : `${before.trimEnd()}\n${line}`)),
    recorded: onTaken,
    pull: ({ csv }) => void take(new Blob([csv], { type: 'text/csv' }), 'recorded'),
  });
  const busy = taking.is === 'busy';
  return (
    <Flex direction="column" gap="4">
      <Caution>
        Engine off, key out or spark lead off. Pull the {moved} slowly and square to it, as far as it goes, and let it
        back as slowly. A hook that slips off flies: keep your face out of its line.
      </Caution>
      <Recorded sent={sent} onLook={onTaken}>
        <Refused taking={taking} way="recorded" />
      </Recorded>
      <Grid templateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="4" alignItems="start">
        <Sheet padding="4" aria-label="A file from the gauge">
          <Heading as="h2" fontSize="lg">
            A file from the gauge
          </Heading>
          <Box marginBlock="2" lineHeight="snug">
            CSV with the columns <b>travel_mm</b>, <b>force_n</b> and <b>direction</b> (pull or release). Without a
            direction the way back begins behind the farthest point. With <b>time_s</b> in place of the travel, pull it
            steadily; you are asked how far.
          </Box>
          <FilePick
            accept=".csv,text/csv,text/plain"
            look="vivid"
            disabled={busy}
            onPick={(file) => void take(file, 'file')}
          >
            {busy ? 'Sending it' : 'Choose the file'}
          </FilePick>
          <Refused taking={taking} way="file" />
        </Sheet>
        <Sheet padding="4" aria-label="Point by point">
          <FieldLabel htmlFor="points">
            Or point by point: travel in {lengthUnit()}, force in {unitText('N')}
          </FieldLabel>
          <Area
            id="points"
            rows={9}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            placeholder={'0 1.5\n5 2\n10 6\n15 34\nback\n10 4'}
            width="100%"
            fontFamily="body"
          />
          <Box textStyle="small" marginBlock="2">
            A point a line, the way back behind the word <b>back</b>. Eight points or more; more where it gets heavy.
            With its units where they are others: <b>12.5 mm 31 N</b>.
          </Box>
          <PointsSent sent={sent} />
          <Button
            look="plain"
            marginTop="3"
            disabled={busy || typed.trim() === ''}
            onClick={() => void take(new Blob([typed], { type: 'text/plain' }), 'typed')}
            data-take-typed
          >
            Draw it
          </Button>
          <Refused taking={taking} way="typed" />
        </Sheet>
      </Grid>
    </Flex>
  );
};

/** Beside the way it came in by, so that it is seen where one looks. */
const Refused = ({ taking, way }: { taking: Taking; way: Way }) =>
  taking.is !== 'refused' || taking.way !== way ? null : (
    <Box role="alert" bg="red.wash" borderRadius="sm" padding="3" marginTop="3" data-refused>
      {taking.lines.map((line) => (
        <Box key={line}>{line}</Box>
      ))}
    </Box>
  );
