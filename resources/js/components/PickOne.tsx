import { Flex } from '@chakra-ui/react';
import { Button } from './Buttons';

type PickOneProps = {
  says: string;
  /** Name of the data attribute that carries the key of each. */
  mark: string;
  options: readonly { key: string; label: string }[];
  value: string | null;
  onPick: (key: string) => void;
  column?: boolean;
};

/** One of a few words, each a button big enough for gloves. */
export const PickOne = ({ says, mark, options, value, onPick, column = false }: PickOneProps) => (
  <Flex gap="2" flexWrap="wrap" direction={column ? 'column' : 'row'} role="group" aria-label={says}>
    {options.map((one) => (
      <Button
        key={one.key}
        look={one.key === value ? 'dark' : 'plain'}
        aria-pressed={one.key === value}
        justifyContent={column ? 'flex-start' : 'center'}
        onClick={() => onPick(one.key)}
        {...{ [`data-${mark}`]: one.key }}
      >
        {one.label}
      </Button>
    ))}
  </Flex>
);
