import { Box } from '@chakra-ui/react';
import { isLookedFor, isStuck } from '../asks';
import { useBench } from '../useBench';
import { Cures } from './Cures';

/** Something was straightened, reseated or freed at any stage: what was read before and after does not compare. */
export const ChangedOnTheBench = () => {
  const { state, item } = useBench();
  // Nothing is taken in hand before it is safe to; a check changes nothing; and where this is what is asked, it has its card.
  if (state.closed !== null || state.stage === 'make_safe' || state.check?.on === true || state.asks === 'put_right')
    return null;
  const { table } = state.beside;
  if (isLookedFor(item, state) || (item?.topic === 'in_band' && table !== null && isStuck(table))) return null;
  return (
    <Box data-changed>
      <Box textStyle="eyebrow">Put right just now? Tap it</Box>
      <Box textStyle="small" marginBottom="2">
        It is logged. What was read and tried before is asked for again.
      </Box>
      <Cures />
    </Box>
  );
};
