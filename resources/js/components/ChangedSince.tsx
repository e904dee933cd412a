import { Box, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { Problem } from '../api/client';
import { plain } from '../lib/plain';
import { Refusal } from './Refusal';

/** The version that was looked at; once another one was shown beside what is typed, that one. */
export function useSeen(start: string | undefined): { seen: string | undefined; onError: (error: unknown) => void } {
  const [seen, setSeen] = useState(start);
  return {
    seen,
    onError: (error) => {
      if (error instanceof Problem && error.changed !== null) setSeen(error.changed.etag);
    },
  };
}

/** A field by the name the server gives it, what it is called here, and what is typed into it. */
export type Typed = { name: string; label: string; mine: string | null };

/** Why something was not saved. Where somebody changed it meanwhile: what it says now, beside what is typed. */
export const NotSaved = ({
  error,
  fields,
  words,
}: {
  error: unknown;
  fields: readonly Typed[];
  words?: (sentence: string) => string;
}) => {
  const changed = error instanceof Problem ? error.changed : null;
  if (changed === null) return <Refusal error={error} {...(words === undefined ? {} : { words })} />;
  const differing = fields.filter(({ name, mine }) => mine === null || plain(changed.now[name]) !== plain(mine));
  return (
    <Box data-changed-since>
      <Refusal error={error} />
      <Grid templateColumns="auto 1fr 1fr" columnGap="4" rowGap="1" marginTop="3" alignItems="baseline">
        <Box />
        <Box textStyle="eyebrow">It says now</Box>
        <Box textStyle="eyebrow">You typed</Box>
        {differing.map(({ name, label, mine }) => (
          <Grid key={name} templateColumns="subgrid" gridColumn="1 / -1" data-field={name}>
            <Box textStyle="small">{label}</Box>
            <Box fontWeight="bold" minWidth="0" overflowWrap="anywhere">
              {plain(changed.now[name])}
            </Box>
            <Box minWidth="0" overflowWrap="anywhere" data-mine>
              {mine === null ? 'as in the form' : plain(mine)}
            </Box>
          </Grid>
        ))}
      </Grid>
    </Box>
  );
};
