import { Box, Flex, Heading } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answerIntake, type Intake, machineQuery } from '../../api/machines';
import { Button, Field, FieldLabel, LinkButton, Sheet } from '../../components/Buttons';
import { Mark } from '../../components/Marks';
import { ReportStops } from '../../components/MayStop';
import { Refusal } from '../../components/Refusal';
import { useSignedIn } from '../../lib/signedIn';
import { moment } from '../../lib/time';
import { toCause } from '../cause/toCause';

/** What somebody reported and nobody has answered: taken up by the next job, or answered in words. */
export const IntakeSheet = ({ intakes, tag }: { intakes: Intake[]; tag: string }) => (
  <Sheet padding="4" aria-label="Reported" borderColor="found">
    <Heading as="h2" fontSize="lg" marginBottom="1">
      Reported
    </Heading>
    {intakes.map((intake) => (
      <OneIntake key={intake.id} intake={intake} tag={tag} />
    ))}
  </Sheet>
);

const OneIntake = ({ intake, tag }: { intake: Intake; tag: string }) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const [answer, setAnswer] = useState<string | null>(null);
  const send = useMutation({
    mutationFn: (words: string) => answerIntake(intake.id, words),
    onSuccess: (machine) => client.setQueryData(machineQuery(tag).queryKey, machine),
  });
  return (
    <Box borderTopWidth="thin" borderColor="line" paddingBlock="2" _first={{ borderTopWidth: '0' }} data-intake>
      <Flex gap="3" alignItems="flex-start" flexWrap="wrap">
        <Flex gap="3" flex="1 1 {sizes.60}">
          <Mark kind="found" size="text" style={{ marginTop: '3px' }} />
          <Box>
            <Box lineHeight="snug">“{intake.words}”</Box>
            <ReportStops {...intake} />
            <Box textStyle="small">
              {intake.control_name ?? 'The machine'}, {moment(intake.at)} by {intake.by}
            </Box>
          </Box>
        </Flex>
        {person.may_log && intake.control !== null && (
          <LinkButton to={toCause(intake)} look="plain" size="small" textDecoration="none" data-cause-of-report>
            Find the cause
          </LinkButton>
        )}
        {person.may_sign_off && answer === null && (
          <Button look="quiet" size="small" onClick={() => setAnswer('')}>
            Answer
          </Button>
        )}
      </Flex>
      {answer !== null && (
        <Box marginTop="2">
          <FieldLabel htmlFor={`answer-${intake.id}`}>Answer without a job</FieldLabel>
          <Flex gap="2" flexWrap="wrap">
            <Field
              id={`answer-${intake.id}`}
              value={answer}
              maxLength={500}
              onChange={(event) => setAnswer(event.target.value)}
              flex="1 1 {sizes.56}"
            />
            <Button
              look="plain"
              onClick={() => send.mutate(answer)}
              disabled={answer.trim() === '' || send.isPending}
              data-answer
            >
              Answer it
            </Button>
            <Button look="quiet" onClick={() => setAnswer(null)}>
              Cancel
            </Button>
          </Flex>
        </Box>
      )}
      {send.isError && <Refusal error={send.error} />}
    </Box>
  );
};
