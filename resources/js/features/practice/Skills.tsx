import { Box, Flex } from '@chakra-ui/react';

type Skill = { skill: string; label: string; share: number; tries: number; good: boolean };

/** What is shown of each skill, the weakest first. */
export const Skills = ({ skills }: { skills: readonly Skill[] }) => (
  <Flex direction="column" gap="1.5" marginTop="2">
    {skills.map((one) => (
      <Flex key={one.skill} alignItems="center" gap="3" data-skill={one.skill}>
        <Box flex="0 0 {sizes.44}" fontSize="sm" lineHeight="snug">
          {one.label}
        </Box>
        <Bar share={one.share} good={one.good} />
        <Box minWidth="10" textAlign="right" fontWeight="bold" fontSize="sm">
          {Math.round(100 * one.share)} %
        </Box>
      </Flex>
    ))}
  </Flex>
);

export const Bar = ({ share, good }: { share: number; good: boolean }) => (
  <Box flex="1" minWidth="12" height="3" bg="well" borderWidth="thin" borderColor="line" borderRadius="sm">
    <Box height="100%" bg={good ? 'inside' : 'found'} borderRadius="sm" style={{ width: `${100 * share}%` }} />
  </Box>
);
