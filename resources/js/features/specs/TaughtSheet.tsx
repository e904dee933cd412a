import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import type { SpecWhole, Taught } from '../../api/specs';
import { LinkButton, Sheet } from '../../components/Buttons';
import { MachineTag } from '../../components/MachineTag';
import { decimals, lengthText, lengthUnit } from '../../lib/figures';
import { useSignedIn } from '../../lib/signedIn';
import { day } from '../../lib/time';

/** The machines contradict the spec: what they taught, and the next version begun with either distance put right. */
export const TaughtSheet = ({ spec, taught }: { spec: SpecWhole; taught: Taught }) => {
  const person = useSignedIn();
  const { point_mm: point, wire_mm: wire } = taught;
  return (
    <Sheet padding="4" aria-label="What the machines taught" data-taught>
      <Heading as="h2" fontSize="xl" marginBottom="1">
        {taught.sentence}
      </Heading>
      <Box marginBottom="3">
        The spec says {decimals(taught.told, 2)} times as far as the cable. Readings before and after turns say{' '}
        <b>{decimals(taught.learned, 2)}</b> ± {decimals(taught.expanded, 2)} times.
      </Box>
      <Grid templateColumns="repeat(auto-fill, minmax({sizes.56}, 1fr))" gap="2" marginBottom="3">
        {taught.machines.map((one) => (
          <Flex key={one.tag} gap="3" alignItems="center">
            <MachineTag tag={one.tag} size="sm" />
            <Box lineHeight="snug">
              {decimals(one.learned, 2)} ± {decimals(one.expanded, 2)}
              {one.at !== null && <Box textStyle="small">{day(one.at)}</Box>}
            </Box>
          </Flex>
        ))}
      </Grid>
      {point !== null && wire !== null && !spec.may.change && person.may_sign_off && (
        <Flex gap="2" flexWrap="wrap" alignItems="center" data-screen-only>
          <Box flexBasis="full">
            A distance is wrong, or a pitch. Measure both distances on a machine, then begin with what you found:
          </Box>
          <LinkButton
            to={`/specs/${spec.id}/next?point_mm=${point.toFixed(1)}`}
            look="plain"
            textDecoration="none"
            data-correct-point
          >
            Reading point at {lengthText(point)} {lengthUnit()}
          </LinkButton>
          <LinkButton
            to={`/specs/${spec.id}/next?wire_mm=${wire.toFixed(1)}`}
            look="plain"
            textDecoration="none"
            data-correct-wire
          >
            Wire at {lengthText(wire)} {lengthUnit()}
          </LinkButton>
        </Flex>
      )}
    </Sheet>
  );
};
