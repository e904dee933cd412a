import { Box, Flex, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { CableMatch } from '../../../api/beside';
import { modelPartsQuery } from '../../../api/jobs';
import { Button, Field, FieldLabel, LinkButton, Sheet } from '../../../components/Buttons';
import { Mark } from '../../../components/Marks';
import { lengthText, lengthUnit } from '../../../lib/figures';
import { day } from '../../../lib/time';
import { Lands, MatchChip } from '../../cables/MatchSays';
import { useBench } from '../useBench';
import { Pictures } from './Pictures';

/** How the new cable would land, drawn from slack with the adjusters in to where they would stand. */
export const MatchPanel = () => {
  const { state } = useBench();
  const { replacing } = state.beside;
  if (replacing === null || replacing.over) return null;
  return (
    <Sheet padding="4" aria-label="Cable being replaced" data-replacing>
      <Flex justifyContent="space-between" alignItems="baseline" gap="3" flexWrap="wrap">
        <Heading as="h2" fontSize="lg">
          Replacing the cable
        </Heading>
        <Box textStyle="small">{replacing.reason}</Box>
      </Flex>
      {replacing.match === null ? (
        <Box textStyle="small" marginTop="1">
          Old and new are compared before anything is fitted.
        </Box>
      ) : (
        <Match match={replacing.match} />
      )}
      {state.beside.refused.length > 0 && (
        <Box textStyle="small" marginTop="2">
          Did not fit: {state.beside.refused.map((one) => one.number).join(', ')}
        </Box>
      )}
      <OnThisModel />
      <KnownCables />
      <Box marginTop="3">
        <Pictures />
      </Box>
    </Sheet>
  );
};

/** The way to the book, before anything is ordered. */
const KnownCables = () => {
  const { job } = useBench();
  return (
    <LinkButton
      to={`/machines/${encodeURIComponent(job.machine.tag)}/${encodeURIComponent(job.control.key)}/cables`}
      look="link"
      paddingInline="0"
      data-known-cables
    >
      Which known cable fits
    </LinkButton>
  );
};

/** What other jobs on this model learned about part numbers, so that nobody orders the wrong one again. */
const OnThisModel = () => {
  const { job } = useBench();
  const { data } = useQuery(modelPartsQuery(job.id));
  return (
    <Box marginTop="3" data-model-parts>
      <Box textStyle="eyebrow">On this model</Box>
      <Box textStyle="small">
        A part is ordered by the model number, {job.machine.name}, not by the serial number. The label is no proof:
        compare it.
      </Box>
      {data?.parts.map((one) => (
        <Flex key={one.number} gap="2" alignItems="baseline" lineHeight="snug" marginTop="1">
          <Mark kind={one.fits ? 'inside' : 'wrong'} size="text" />
          <Box minWidth="0" overflowWrap="anywhere">
            <b>{one.number}</b>{' '}
            <Box as="span" textStyle="small">
              {one.part} {one.fits ? 'fitted' : 'did not fit'} {one.tag}, {day(one.on)}
            </Box>
          </Box>
        </Flex>
      ))}
    </Box>
  );
};

const Match = ({ match }: { match: CableMatch }) => (
  <Box marginTop="2" data-match={match.verdict}>
    <MatchChip match={match} />
    <Box marginTop="2" lineHeight="snug">
      {match.sentence}
    </Box>
    {match.take_up_mm !== null && match.reserve_mm !== null && match.verdict !== 'does_not_fit' && (
      <TakeUp match={match} />
    )}
    <Lands match={match} />
    {match.verdict === 'does_not_fit' && <NotThisOne />}
  </Box>
);

/** Take-up used and left, as one bar. */
const TakeUp = ({ match }: { match: CableMatch }) => {
  const used = match.take_up_mm ?? 0;
  const all = used + (match.reserve_mm ?? 0);
  const share = all === 0 ? 0 : (100 * used) / all;
  return (
    <Box
      marginBlock="2"
      role="img"
      aria-label={`${lengthText(used)} of ${lengthText(all)} ${lengthUnit()} of take-up used`}
    >
      <Flex height="6" borderWidth="thin" borderColor="graphite.edge" borderRadius="sm" overflow="hidden">
        <Box width={`${share}%`} bg="found" />
        <Box flex="1" bg="petrol.wash" />
      </Flex>
      <Flex justifyContent="space-between" textStyle="small">
        <span>
          {lengthText(used)} {lengthUnit()} taken up
        </span>
        <span>
          {lengthText(match.reserve_mm ?? 0)} {lengthUnit()} left for stretch
        </span>
      </Flex>
    </Box>
  );
};

const NotThisOne = () => {
  const { send, mayWrite } = useBench();
  const [number, setNumber] = useState('');
  if (!mayWrite) return null;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (number.trim() === '') return;
        send({ kind: 'part_refused', body: { part: 'cable', number: number.trim() } });
        setNumber('');
      }}
    >
      <FieldLabel htmlFor="refused-number" marginTop="3">
        Number on its label, so that nobody orders it again
      </FieldLabel>
      <Flex gap="2" flexWrap="wrap">
        <Field
          id="refused-number"
          flex="1 1 {sizes.40}"
          value={number}
          maxLength={60}
          onChange={(event) => setNumber(event.target.value)}
        />
        <Button type="submit" look="plain" disabled={number.trim() === ''} data-refuse-part>
          It did not fit
        </Button>
      </Flex>
    </form>
  );
};
