import { Box, Flex, Heading } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { Intake } from '../../api/machines';
import { Sheet } from '../../components/Buttons';
import { MachineTag } from '../../components/MachineTag';
import { moment } from '../../lib/time';

/** What riders and drivers said, until a job takes it up or somebody answers. */
export const Reported = ({ intakes }: { intakes: readonly Intake[] }) =>
  intakes.length === 0 ? null : (
    <Sheet padding="4" aria-label="Reported">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Reported
      </Heading>
      {intakes.map((one) => (
        <Flex
          key={one.id}
          gap="3"
          alignItems="flex-start"
          borderTopWidth="thin"
          borderColor="line"
          paddingBlock="2.5"
          asChild
        >
          <Link to={`/machines/${one.tag}#${one.control ?? ''}`} style={{ textDecoration: 'none', color: 'inherit' }}>
            <MachineTag tag={one.tag} size="sm" />
            <Box lineHeight="snug">
              {one.words}
              <Box textStyle="small">
                {one.control_name ?? one.machine}, {moment(one.at)} by {one.by}
              </Box>
            </Box>
          </Link>
        </Flex>
      ))}
    </Sheet>
  );
