import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Button, Sheet } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { Refusal } from '../../components/Refusal';
import { inSentence } from '../../lib/inSentence';
import { pullText } from '../../lib/pullText';
import { clock, nowWithOffset } from '../../lib/time';
import { Connect, OnThisDevice } from '../job/gauges/OnThisDevice';
import { hasSerial, useSerialGauge } from '../job/gauges/useSerialGauge';
import type { Sent } from './useSent';

type Props = { sent: Sent; onLook: (trace: string) => void; children: ReactNode };

/** A force gauge that records by itself: let it speak here, pull, and the curve opens. */
export const Recorded = ({ sent, onLook, children }: Props) => {
  const { wire } = useSerialGauge();
  const { gauges, recordings, claim, dropping } = sent;
  const force = gauges.filter((one) => one.dimension === 'force');
  if (force.length === 0 && recordings.length === 0 && !hasSerial()) return null;
  const here = wire?.dimension === 'force' ? wire : force.find((one) => one.here);
  return (
    <Sheet padding="4" aria-label="From a force gauge that records">
      <Heading as="h2" fontSize="lg">
        From a force gauge that records
      </Heading>
      {recordings.map((one) => (
        <Flex key={one.trace} gap="3" alignItems="center" flexWrap="wrap" marginTop="2" data-recorded={one.trace}>
          <Box flex="1" minWidth="48">
            <b>{clock(nowWithOffset(new Date(one.at)))}</b> {one.name}: {pullText(one)}
          </Box>
          <Flex gap="3">
            <Button look="dark" onClick={() => onLook(one.trace)}>
              Look at it
            </Button>
            <Button look="plain" onClick={() => dropping.mutate(one.trace)}>
              Discard it
            </Button>
          </Flex>
        </Flex>
      ))}
      {here !== undefined ? (
        <Flex gap="2" bg="yellow.tag" color="onVivid" borderRadius="sm" padding="3" marginTop="2" role="status">
          <Mark kind="now" size="large" />
          <Box lineHeight="snug">
            <b>{here.name} speaks here.</b> Let it send from the moment you begin to pull. Pull steadily as far as it
            goes, let it back as steadily without a rest, and stop it. The curve opens here.
          </Box>
        </Flex>
      ) : (
        <>
          <Box marginBlock="2" lineHeight="snug">
            Its forces come with their times. You are asked how far you pulled; a hand is not steady enough for a
            reading of the play, but friction and phases show.
          </Box>
          <Flex gap="2" flexWrap="wrap">
            {force.map((one) => (
              <Button
                key={one.instrument}
                look="plain"
                onClick={() => claim.mutate(one.instrument)}
                data-records={one.instrument}
              >
                Let the {inSentence(one.name)} speak here
              </Button>
            ))}
            <Connect choices={[]} chosen={undefined} withForces />
          </Flex>
        </>
      )}
      {children}
      <OnThisDevice />
      {(claim.isError || dropping.isError) && <Refusal error={claim.error ?? dropping.error} />}
    </Sheet>
  );
};
