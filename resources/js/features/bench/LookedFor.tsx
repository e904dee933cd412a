import { Box, Heading } from '@chakra-ui/react';
import type { ComplaintBrief } from '../../api/complaints';
import { Sheet } from '../../components/Buttons';
import { MayStop } from '../../components/MayStop';
import { moment } from '../../lib/time';
import { BenchLink } from './BenchLink';

type Props = { title: string; complaints: readonly ComplaintBrief[]; isOfMachine?: boolean };

/** Complaints whose cause is being looked for. */
export const LookedFor = ({ title, complaints, isOfMachine = false }: Props) =>
  complaints.length === 0 ? null : (
    <Sheet padding="4" aria-label={title}>
      <Heading as="h2" fontSize="lg" marginBottom="2">
        {title}
      </Heading>
      {complaints.map((one) => (
        <BenchLink key={one.id} to={`/causes/${one.id}`} tag={isOfMachine ? null : one.tag}>
          {one.words}
          <MayStop meant={one.stopped_by} isLookedInto />
          <Box textStyle="small">
            {one.control_name}, {moment(one.at)} by {one.by}
          </Box>
        </BenchLink>
      ))}
    </Sheet>
  );
