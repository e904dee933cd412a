import { Box, Heading } from '@chakra-ui/react';
import type { Intake } from '../../api/machines';
import { Sheet } from '../../components/Buttons';
import { ReportStops } from '../../components/MayStop';
import { moment } from '../../lib/time';
import { BenchLink } from './BenchLink';

const toMachine = (one: Intake): string => `/machines/${encodeURIComponent(one.tag)}#${one.control ?? ''}`;

type Props = { intakes: readonly Intake[]; to?: (one: Intake) => string };

/** What riders and drivers said, until a job takes it up or somebody answers. */
export const Reported = ({ intakes, to = toMachine }: Props) =>
  intakes.length === 0 ? null : (
    <Sheet padding="4" aria-label="Reported">
      <Heading as="h2" fontSize="lg" marginBottom="2">
        Reported
      </Heading>
      {intakes.map((one) => (
        <BenchLink key={one.id} to={to(one)} tag={one.tag}>
          {one.words}
          <ReportStops {...one} />
          <Box textStyle="small">
            {one.control_name ?? one.machine}, {moment(one.at)} by {one.by}
          </Box>
        </BenchLink>
      ))}
    </Sheet>
  );
