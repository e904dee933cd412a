import { Box, Flex } from '@chakra-ui/react';
import { asOf } from '../lib/asOf';
import { useKept } from '../lib/store';
import { moment, nowWithOffset } from '../lib/time';
import { useConnection } from '../lib/useConnection';
import { Mark } from './Marks';

/** What stands on the screen is not asked of the server just now: a tag that was hung since does not show. */
export const NoConnection = () => {
  const { isCut, isOld } = useConnection();
  return !isCut && !isOld ? null : (
    <Box
      role="status"
      bg="violet.wash"
      data-no-connection
      data-screen-only
      // Where nothing could be shown, that says why.
      css={{ '&:has(~ main [data-failure])': { display: 'none' } }}
    >
      <Flex
        gap="2"
        alignItems="flex-start"
        maxWidth="page"
        marginInline="auto"
        paddingInline={{ base: '3', md: '5' }}
        paddingBlock="2"
        lineHeight="snug"
      >
        <Mark kind="cant_tell" size="text" style={{ marginTop: '3px' }} />
        <span>
          <b>{isCut ? 'No connection.' : 'The server answers late.'}</b> <HowItStood /> It may have changed.
        </span>
      </Flex>
    </Box>
  );
};

/** Since when what stands there is known. */
export const HowItStood = () => {
  const at = useKept(asOf);
  return at === null ? null : <>This is how it stood {moment(nowWithOffset(new Date(at)))}.</>;
};
