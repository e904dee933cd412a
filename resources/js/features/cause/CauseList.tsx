import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import type { Complaint } from '../../api/complaints';
import { Button, Sheet } from '../../components/Buttons';
import type { Looking } from './useLooking';

type Props = { complaint: Complaint; looking: Looking };
type Cause = Complaint['diagnosis']['causes'][number];

/** So many are shown before somebody asks for all. */
const FIRST = 6;

const percent = (chance: number) =>
  chance >= 0.995 ? '> 99 %' : chance < 0.01 ? '< 1 %' : `${Math.round(100 * chance)} %`;

/** The causes in order, with their chances and what speaks for and against each. */
export const CauseList = ({ complaint, looking }: Props) => {
  const [all, setAll] = useState(false);
  const { causes, counted } = complaint.diagnosis;
  const open = causes.filter((one) => !one.ruled_out);
  const out = causes.filter((one) => one.ruled_out);
  const shown = all ? open : open.slice(0, FIRST);
  return (
    <Sheet padding="4" aria-label="Causes">
      <Heading as="h2" fontSize="lg">
        Causes, the likeliest first
      </Heading>
      <Box textStyle="small" marginBottom="2">
        {counted === 0
          ? 'By common practice. What it turns out to be here is counted from now on.'
          : `By common practice, and by what it was here ${counted} ${counted === 1 ? 'time' : 'times'}.`}
      </Box>
      {shown.map((one) => (
        <OneCause
          key={one.key}
          cause={one}
          counted={counted}
          looking={looking}
          isOpen={complaint.closed_at === null && complaint.unproved === null}
          was={complaint.was}
        />
      ))}
      {open.length > FIRST && (
        <Button look="quiet" size="small" marginTop="2" onClick={() => setAll(!all)}>
          {all ? 'Only the likeliest' : `${open.length - FIRST} more, less likely`}
        </Button>
      )}
      {out.length > 0 && <RuledOut causes={out} />}
    </Sheet>
  );
};

type OneProps = { cause: Cause; counted: number; looking: Looking; isOpen: boolean; was: string | null };

const OneCause = ({ cause, counted, looking, isOpen, was }: OneProps) => (
  <Box borderTopWidth="thin" borderColor="line" paddingBlock="2" data-cause={cause.key}>
    <Flex alignItems="baseline" gap="2">
      <Box flex="1" fontWeight="bold" lineHeight="snug">
        {cause.label}
      </Box>
      <Box fontVariantNumeric="tabular-nums" fontWeight="bold" whiteSpace="nowrap">
        {percent(cause.chance)}
      </Box>
    </Flex>
    <Box height="1.5" bg="well" borderRadius="sm" overflow="hidden" marginBlock="1" aria-hidden="true">
      <Box height="100%" bg="ink" width={`${Math.max(1, 100 * cause.chance)}%`} />
    </Box>
    {cause.imitates && <Box textStyle="small">Imitates a bad adjustment.</Box>}
    {cause.counted > 0 && (
      <Box textStyle="small">
        {cause.counted} of {counted} here.
      </Box>
    )}
    {[...cause.for, ...cause.against.map((one) => `Against it: ${one}`)].map((one) => (
      <Box key={one} textStyle="small">
        {one}
      </Box>
    ))}
    {(isOpen || looking.mayName) && cause.label !== was && (
      <Button
        look="link"
        paddingInline="0"
        disabled={!looking.mayName}
        onClick={() => looking.close(cause.key)}
        data-it-was={cause.key}
      >
        It was this
      </Button>
    )}
  </Box>
);

const RuledOut = ({ causes }: { causes: readonly Cause[] }) => (
  <chakra.details borderTopWidth="thin" borderColor="line" paddingTop="2" marginTop="2" data-ruled-out>
    <chakra.summary minHeight="touch" display="flex" alignItems="center" cursor="pointer" fontWeight="bold">
      Ruled out: {causes.length}
    </chakra.summary>
    {causes.map((one) => (
      <Box key={one.key} paddingBlock="1">
        <Box textDecoration="line-through">{one.label}</Box>
        {one.against.map((why) => (
          <Box key={why} textStyle="small">
            {why}
          </Box>
        ))}
      </Box>
    ))}
  </chakra.details>
);
