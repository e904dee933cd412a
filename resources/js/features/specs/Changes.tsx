import { Box, Flex, Heading } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { changesQuery, type SpecWhole } from '../../api/specs';
import { Sheet } from '../../components/Buttons';
import { MachineTag } from '../../components/MachineTag';
import { verdictWord } from '../../components/VerdictChip';
import { lengthText, lengthUnit } from '../../lib/figures';
import { day } from '../../lib/time';

/** What this version would have said of jobs that other versions judged. What was signed stays signed. */
export const Changes = ({ spec }: { spec: SpecWhole }) => {
  const { data } = useQuery(changesQuery(spec.id));
  if (data === undefined || data.looked_at === 0) return null;
  return (
    <Sheet padding="4" aria-label="Past verdicts">
      <Heading as="h2" fontSize="lg" marginBottom="1">
        Past verdicts by this version
      </Heading>
      <Box color="soft" lineHeight="snug">
        {data.changed.length === 0
          ? `All ${data.looked_at} jobs looked at would be judged the same.`
          : `${data.changed.length} of ${data.looked_at} jobs would be judged otherwise. What was signed stays as it is.`}
      </Box>
      {data.changed.map((one) => (
        <Flex
          key={one.job}
          gap="3"
          alignItems="center"
          flexWrap="wrap"
          borderTopWidth="thin"
          borderColor="line"
          paddingBlock="2"
          data-changed={one.job}
        >
          <MachineTag tag={one.tag} size="sm" />
          <Link to={`/jobs/${one.job}`}>{one.at === null ? 'job' : day(one.at)}</Link>
          <Box>
            left {lengthText(one.left_mm)} {lengthUnit()}
          </Box>
          <Box>
            was <b>{verdictWord(one.was)}</b>, would be <b>{verdictWord(one.would_be)}</b>
          </Box>
        </Flex>
      ))}
    </Sheet>
  );
};
