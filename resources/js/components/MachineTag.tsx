import { Box, chakra } from '@chakra-ui/react';
import { OWN_COLOURS } from '../theme/forced';

/** The yellow tag that hangs on the machine, with its punched hole; red where it must not run. */
export const MachineTag = ({
  tag,
  stop = false,
  size = 'md',
}: {
  tag: string;
  stop?: boolean;
  size?: 'sm' | 'md' | 'lg';
}) => (
  <Box
    as="span"
    css={OWN_COLOURS}
    data-machine-tag
    display="inline-flex"
    alignItems="center"
    gap="0.45em"
    fontFamily="heading"
    fontWeight="bold"
    lineHeight="tight"
    whiteSpace="nowrap"
    fontSize={{ sm: 'md', md: 'lg', lg: 'xl' }[size]}
    bg={stop ? 'stop' : 'yellow.tag'}
    color={stop ? 'sheet' : 'graphite.ink'}
    borderRadius="sm"
    paddingInline="0.55em 0.65em"
    paddingBlock="0.4em"
    clipPath="polygon(0.4em 0, 100% 0, 100% 100%, 0.4em 100%, 0 calc(100% - 0.45em), 0 0.45em)"
  >
    <chakra.span
      boxSize="0.5em"
      borderRadius="full"
      bg={stop ? 'sheet' : 'graphite.ink'}
      flexShrink="0"
      aria-hidden="true"
    />
    {tag}
  </Box>
);
