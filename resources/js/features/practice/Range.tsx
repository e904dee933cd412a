import { chakra } from '@chakra-ui/react';

/** A slide that a gloved thumb can hold. */
export const Range = chakra('input', {
  base: {
    width: '100%',
    height: '8',
    '@media (any-pointer: coarse)': { height: '{sizes.touch}' },
    accentColor: '{colors.action}',
    cursor: 'grab',
    touchAction: 'pan-y',
  },
});
