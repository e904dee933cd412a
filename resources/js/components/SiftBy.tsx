import { Box } from '@chakra-ui/react';
import { capital } from '../lib/capital';
import { Choice } from './Buttons';

type Props = {
  says: string;
  /** What is said where nothing is left out. */
  all: string;
  values: readonly string[];
  value: string;
  onPick: (value: string) => void;
};

/** A list that leaves out what is not of one kind. */
export const SiftBy = ({ says, all, values, value, onPick }: Props) => (
  <Box flex="0 1 {sizes.44}">
    <Choice aria-label={says} value={value} onChange={(event) => onPick(event.target.value)}>
      <option value="">{all}</option>
      {values.map((one) => (
        <option key={one} value={one}>
          {capital(one)}
        </option>
      ))}
    </Choice>
  </Box>
);
