import { chakra } from '@chakra-ui/react';
import { Link } from 'react-router';

/** A row of a list that leads somewhere as a whole. */
export const RowLink = chakra(Link, {
  base: {
    display: 'grid',
    columnGap: '4',
    rowGap: '1',
    alignItems: 'center',
    paddingInline: '4',
    paddingBlock: '2.5',
    minHeight: '16',
    textDecoration: 'none',
    color: 'ink',
    _hover: { bg: 'well' },
    _focusVisible: { outlineOffset: '-3px' },
  },
});
