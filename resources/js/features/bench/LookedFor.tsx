import { Box, Heading } from '@chakra-ui/react';
import type { ComplaintBrief } from '../../api/complaints';
import { Sheet } from '../../components/Buttons';
import { moment } from '../../lib/time';
import { BenchLink } from './BenchLink';

type Props = { title: string; complaints: readonly ComplaintBrief[] };

/** Complaints whose cause is being looked for. */
export const LookedFor = ({ title, complaints }: Props) =>
  complaints.length === 0 ? null : (
    <Sheet padding="4" aria-label={title}>
      <Heading as="h2" fontSize="lg" marginBottom="2">
        {title}
      </Heading>
      {complaints.map((one) => (
        <BenchLink key={one.id} to={`/causes/${one.id}`} tag={one.tag}>
          {one.words}
          <Box textStyle="small">
            {one.control_name}, {moment(one.at)} by {one.by}
          </Box>
        </BenchLink>
      ))}
    </Sheet>
  );
