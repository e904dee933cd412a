import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Complaint } from '../../api/complaints';
import { Button, Sheet } from '../../components/Buttons';
import type { Looking } from './useLooking';

type Props = { complaint: Complaint; looking: Looking; open: boolean };

/** Whatever else was looked at, in any order. */
export const OtherLooks = ({ complaint, looking, open }: Props) => {
  const { checks, next } = complaint.diagnosis;
  const kept = new Set(looking.kept.map((one) => one.about));
  const shown = looking.isCut && looking.kept.length > 0 ? null : next.key;
  const left = checks.filter(
    (one) => one.answer === null && one.answers.length > 0 && one.key !== shown && !kept.has(one.key),
  );
  if (left.length === 0) return null;
  return (
    <Sheet paddingInline="4" paddingBlock="1" aria-label="Look at something else">
      <chakra.details key={String(open)} open={open} data-other-looks>
        <chakra.summary minHeight="touch" display="flex" alignItems="center" cursor="pointer" fontWeight="bold">
          Other things to look at: {left.length}
        </chakra.summary>
        {left.map((one) => (
          <Box
            key={one.key}
            borderTopWidth="thin"
            borderColor="line"
            paddingBlock="2"
            role="group"
            aria-label={one.label}
          >
            <Box fontWeight="medium" marginBottom="1.5">
              {one.label}
            </Box>
            <Flex gap="2" flexWrap="wrap">
              {one.answers.map((answer) => (
                <Button
                  key={answer.key}
                  size="small"
                  disabled={!looking.may}
                  onClick={() => looking.answer('check', one.key, answer.key)}
                  data-look={`${one.key}:${answer.key}`}
                >
                  {answer.label}
                </Button>
              ))}
            </Flex>
          </Box>
        ))}
      </chakra.details>
    </Sheet>
  );
};
