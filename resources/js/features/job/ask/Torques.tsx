import { Box } from '@chakra-ui/react';
import { torqueText } from '../../../lib/figures';
import { useBench } from '../useBench';

/** What the book tightens, and how tight: there where something is tightened. */
export const Torques = () => {
  const { torques } = useBench().state.spec;
  if (torques.length === 0) return null;
  return (
    <Box lineHeight="snug" data-torques>
      By the book:
      {torques.map((one) => (
        <Box key={one.what}>
          {one.what} <b>{torqueText(one.nm)}</b>
        </Box>
      ))}
    </Box>
  );
};
