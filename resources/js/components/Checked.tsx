import { Box, chakra, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';

type CheckedProps = {
  checked: boolean;
  onChange: (checked: boolean) => void;
  children: ReactNode;
  /** What it does, in small print below. */
  about?: string;
  /** Name of the data attribute that finds it. */
  mark?: string;
};

/** A yes or no with its words, big enough for gloves. */
export const Checked = ({ checked, onChange, children, about, mark }: CheckedProps) => (
  <Flex asChild gap="3" alignItems="flex-start" minHeight="touch" cursor="pointer" paddingBlock="1" lineHeight="snug">
    <label>
      <chakra.input
        type="checkbox"
        boxSize="6"
        flexShrink="0"
        accentColor="{colors.ink}"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
        {...(mark === undefined ? {} : { [`data-${mark}`]: true })}
      />
      <span>
        {children}
        {about !== undefined && <Box textStyle="small">{about}</Box>}
      </span>
    </label>
  </Flex>
);
