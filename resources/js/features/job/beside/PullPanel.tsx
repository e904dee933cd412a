import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { Sheet } from '../../../components/Buttons';
import { measuredText, unitText } from '../../../lib/figures';
import { useBench } from '../useBench';

/** Pull and drag of the run: what arrives at the far end, beside what arrived when the cable was new. */
export const PullPanel = () => {
  const { pull } = useBench().state.beside;
  if (pull === null) return null;
  const bars = [
    { word: 'now', side: pull.now, ground: 'found' },
    { word: 'new cable', side: pull.fresh, ground: 'inside' },
  ] as const;
  const most = Math.max(...bars.map(({ side }) => side?.pull_n ?? 0), 1);
  return (
    <Sheet padding="3" aria-label="Pull and drag" data-pull>
      <Heading as="h2" fontSize="lg">
        Pull and drag
      </Heading>
      {bars.map(
        ({ word, side, ground }) =>
          side !== null && (
            <Grid key={word} templateColumns="{sizes.22} 1fr {sizes.28}" gap="2" alignItems="center" marginTop="1.5">
              <Box fontWeight="bold">{word}</Box>
              <Box position="relative" height="5.5" bg="well" borderRadius="sm">
                <Box
                  position="absolute"
                  insetBlock="0"
                  left="0"
                  borderRadius="sm"
                  bg={ground}
                  width={`${(100 * side.pull_n) / most}%`}
                  opacity="0.35"
                />
                <Box
                  position="absolute"
                  insetBlock="0"
                  left="0"
                  borderRadius="sm"
                  bg={ground}
                  width={`${(100 * side.release_n) / most}%`}
                />
              </Box>
              <Box textStyle="figure" fontSize="sm" textAlign="right">
                {measuredText(side.pull_n, 0, 'N')} / {measuredText(side.release_n, 0, 'N')} {unitText('N')} ·{' '}
                {Math.round(side.efficiency * 100)} %
              </Box>
            </Grid>
          ),
      )}
      <Flex lineHeight="snug" fontWeight="bold" fontSize="sm" marginTop="2">
        {pull.sentence}
      </Flex>
    </Sheet>
  );
};
