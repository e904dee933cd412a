import { Box } from '@chakra-ui/react';
import { alphabetical } from '../lib/alphabetical';
import { Select, words } from './Select';

export type Where = { kind: string; place: string };

type Props = {
  /** What is to be chosen from. */
  among: readonly Where[];
  /** Empty where nothing is left out. */
  value: Where;
  onPick: (value: Where) => void;
};

const fields = [
  { key: 'kind', says: 'Kind', none: 'any kind' },
  { key: 'place', says: 'Place', none: 'any place' },
] as const;

/** A list that leaves out what is of another kind, or stands elsewhere. */
export const KindAndPlace = ({ among, value, onPick }: Props) =>
  fields.map(({ key, says, none }) => (
    <Box key={key} flex={{ base: '1 1 {sizes.28}', md: '0 1 {sizes.44}' }}>
      <Select
        says={says}
        none={none}
        // What is asked for stands there too where nothing is of it any more.
        options={words(
          [...new Set([...among.map((one) => one[key]), value[key]])].filter((one) => one !== '').sort(alphabetical),
        )}
        value={value[key]}
        onPick={(picked) => onPick({ kind: value.kind, place: value.place, [key]: picked })}
      />
    </Box>
  ));

/** Whether it is left in. */
export const isThere = (one: Where, { kind, place }: Where): boolean =>
  (place === '' || one.place === place) && (kind === '' || one.kind === kind);
