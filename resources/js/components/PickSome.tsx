import { Flex } from '@chakra-ui/react';
import { Button } from './Buttons';

type PickSomeProps = {
  says: string;
  /** Name of the data attribute that carries the key of each. */
  mark: string;
  options: readonly { key: string; label: string }[];
  values: readonly string[];
  onPick: (keys: readonly string[]) => void;
  size?: 'small';
};

/** Any of a few words, each a button that is pressed or not. */
export const PickSome = ({ says, mark, options, values, onPick, size }: PickSomeProps) => (
  <Flex gap="2" flexWrap="wrap" role="group" aria-label={says}>
    {options.map(({ key, label }) => {
      const isIn = values.includes(key);
      return (
        <Button
          key={key}
          look={isIn ? 'dark' : 'plain'}
          size={size}
          aria-pressed={isIn}
          onClick={() => onPick(isIn ? values.filter((one) => one !== key) : [...values, key])}
          {...{ [`data-${mark}`]: key }}
        >
          {label}
        </Button>
      );
    })}
  </Flex>
);
