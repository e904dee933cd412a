import { Box, Grid } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { decimalMarks, forceStyles, lengthStyles, speedStyles } from '../api/contract/vocabulary.gen';
import { type ChosenUnits, chooseShopUnits, chooseUnits, sessionQuery } from '../api/session';
import { useSignedIn } from '../lib/signedIn';
import { forgetAnswers } from '../offline/register';
import { FieldLabel } from './Buttons';
import { Refusal } from './Refusal';
import { Select } from './Select';

type Kind = keyof ChosenUnits;
type Listed = readonly { key: string; label: string }[];
const kinds: readonly { kind: Kind; label: string; options: Listed; kept: string }[] = [
  { kind: 'lengths', label: 'Lengths', options: lengthStyles, kept: 'mm' },
  { kind: 'forces', label: 'Forces', options: forceStyles, kept: 'N' },
  { kind: 'speeds', label: 'Speeds', options: speedStyles, kept: 'km/h' },
  { kind: 'decimals', label: 'Numbers', options: decimalMarks, kept: 'point' },
];
const labelOf = (options: Listed, key: string) => options.find((one) => one.key === key)?.label ?? key;

/** How figures are read: by one person wherever they sign in, or by everybody who chose nothing. */
export const UnitChoices = ({ whose }: { whose: 'person' | 'shop' }) => {
  const person = useSignedIn();
  const client = useQueryClient();
  const isShop = whose === 'shop';
  const chosen = isShop ? person.shop_units : person.own_units;
  const change = useMutation({
    mutationFn: isShop ? chooseShopUnits : chooseUnits,
    onSuccess: (session) => {
      // What was answered before was said in the units of before.
      forgetAnswers();
      client.removeQueries({ predicate: (query) => query.queryKey[0] !== sessionQuery.queryKey[0] });
      client.setQueryData(sessionQuery.queryKey, session);
    },
  });
  return (
    <Box marginBottom="4">
      <Grid templateColumns="auto 1fr" columnGap="3" rowGap="2" alignItems="center">
        {kinds.map(({ kind, label, options, kept }) => (
          <Grid key={kind} templateColumns="subgrid" gridColumn="1 / -1" alignItems="center">
            <FieldLabel htmlFor={`${whose}-${kind}`} marginBottom="0">
              {label}
            </FieldLabel>
            <Select<string>
              id={`${whose}-${kind}`}
              width="100%"
              minWidth="0"
              value={chosen[kind] ?? ''}
              disabled={change.isPending}
              none={
                isShop
                  ? `As kept: ${labelOf(options, kept)}`
                  : `As the shop: ${labelOf(options, person.shop_units[kind] ?? kept)}`
              }
              options={options}
              onPick={(unit) => change.mutate({ [kind]: unit === '' ? null : unit } as Partial<ChosenUnits>)}
            />
          </Grid>
        ))}
      </Grid>
      <Box textStyle="small" marginTop="1">
        {isShop
          ? 'For everybody who chose nothing under their own name.'
          : 'A bare number typed is taken in these, too. What goes out as a file stays in mm, N and km/h.'}
      </Box>
      {change.isError && <Refusal error={change.error} />}
    </Box>
  );
};
