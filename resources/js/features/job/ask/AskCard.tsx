import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Sheet } from '../../../components/Buttons';
import { Caution } from '../../../components/Caution';
import { isSetting, stageAsking } from '../asks';
import { useBench } from '../useBench';

type AskCardProps = { eyebrow: string; title: ReactNode; aside?: ReactNode; stop?: boolean; children: ReactNode };

/** The frame of whatever is asked now: vivid, so that it is seen first. */
export const AskCard = ({ eyebrow, title, aside, stop = false, children }: AskCardProps) => (
  <Sheet tone={stop ? 'stop' : 'vivid'} padding="4" aria-label="What to do now" data-ask>
    <Flex justifyContent="space-between" gap="3">
      <Box minWidth="0">
        <Box textStyle="eyebrow" color={stop ? 'stop' : 'actionText'}>
          {eyebrow}
        </Box>
        <Heading as="h2" fontSize="2xl" marginTop="1" overflowWrap="anywhere">
          {title}
        </Heading>
      </Box>
      {aside}
    </Flex>
    <Flex direction="column" gap="3" marginTop="3">
      {children}
      <StageCautions />
    </Flex>
  </Sheet>
);

/** What is written for a stage stands at each of its questions; beside a move it stands under the pad. */
const StageCautions = () => {
  const { state, item, mayWrite } = useBench();
  const stage = stageAsking(state, item?.key);
  if (!mayWrite || item === null || (isSetting(item, state) && state.spec.point !== null)) return null;
  return stage?.cautions.map((caution) => (
    <Caution key={caution} compact>
      {caution}
    </Caution>
  ));
};
