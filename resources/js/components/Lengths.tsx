import { Box } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { lengthStyles } from '../api/contract/vocabulary.gen';
import { zLengthStyle } from '../api/contract/zod.gen';
import { readIn, sessionQuery } from '../api/session';
import { useSignedIn } from '../lib/signedIn';
import { forgetAnswers } from '../offline/register';
import { Choice, FieldLabel } from './Buttons';
import { Refusal } from './Refusal';

/** How a person reads lengths, wherever they sign in. */
export const Lengths = () => {
  const person = useSignedIn();
  const client = useQueryClient();
  const change = useMutation({
    mutationFn: readIn,
    onSuccess: (session) => {
      // What was answered before was said in the units of before.
      forgetAnswers();
      client.removeQueries({ predicate: (query) => query.queryKey[0] !== sessionQuery.queryKey[0] });
      client.setQueryData(sessionQuery.queryKey, session);
    },
  });
  return (
    <Box marginBottom="4">
      <FieldLabel htmlFor="lengths">Lengths in</FieldLabel>
      <Choice
        id="lengths"
        value={person.lengths}
        disabled={change.isPending}
        onChange={(event) => change.mutate(zLengthStyle.parse(event.target.value))}
      >
        {lengthStyles.map((one) => (
          <option key={one.key} value={one.key}>
            {one.label}
          </option>
        ))}
      </Choice>
      <Box textStyle="small" marginTop="1">
        A bare number typed as a reading is taken in these, too. What goes out as a file stays in mm.
      </Box>
      {change.isError && <Refusal error={change.error} />}
    </Box>
  );
};
