import { Box, Flex } from '@chakra-ui/react';
import { Button } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { Refusal } from '../../components/Refusal';
import type { Sent } from './useSent';

/** Which gauges send the points, and what is half a point so far. */
export const PointsSent = ({ sent: { gauges, here, half, claim } }: { sent: Sent }) => {
  // A point is a travel and a force: with one of them alone there is nothing to send.
  if (new Set(gauges.map((one) => one.dimension)).size < 2) return null;
  const speaking = here.map((one) => one.name).join(' and ');
  const both = new Set(here.map((one) => one.dimension)).size === 2;
  // A force gauge alone may record by itself: that is said there.
  const says = both || here.some((one) => one.dimension === 'length');
  return (
    <Flex direction="column" gap="2" marginTop="3" data-points-sent>
      {says && (
        <Flex gap="2" bg="yellow.tag" color="onVivid" borderRadius="sm" padding="2" lineHeight="snug" role="status">
          <Mark kind="now" size="text" />
          <Box>
            <b>
              {speaking} {here.length > 1 ? 'speak' : 'speaks'} here.
            </b>{' '}
            {both
              ? half.length !== undefined
                ? `Travel ${half.length.entered}: now press the force.`
                : half.force !== undefined
                  ? `Force ${half.force.entered}: now press the travel.`
                  : 'Hold the lever still, press one, then the other: each pair is a point.'
              : 'The other one is wanted too.'}
          </Box>
        </Flex>
      )}
      {!both && (
        <Flex gap="2" wrap="wrap" alignItems="center">
          <Box>Let them send the points:</Box>
          {gauges
            .filter((one) => !one.here)
            .map((one) => (
              <Button
                key={one.instrument}
                look="plain"
                fontSize="sm"
                paddingInline="3"
                onClick={() => claim.mutate(one.instrument)}
                data-claim={one.instrument}
              >
                {one.name}
              </Button>
            ))}
        </Flex>
      )}
      {claim.isError && <Refusal error={claim.error} />}
    </Flex>
  );
};
