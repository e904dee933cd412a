import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { say, Unreachable } from '../api/client';
import { Button, Sheet } from './Buttons';
import { Mark } from './Marks';

/** Grey shapes where the sheets will be: quiet for the first moment, a word when it takes long. */
export const Loading = ({ what }: { what: string }) => (
  <Box padding="6" maxWidth="page" marginInline="auto" role="status" aria-label={`Loading ${what}`}>
    <Flex direction="column" gap="4">
      {['16', '36', '36'].map((height, n) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: three still shapes that never change places
        <Box key={n} height={height} bg="well" borderRadius="lg" borderWidth="thin" borderColor="line" />
      ))}
    </Flex>
    <Box textStyle="small" marginTop="4">
      Fetching {what}.
    </Box>
  </Box>
);

type TroubleProps = { title: string; children: ReactNode; actions: ReactNode };

/** What went wrong, in place of what was to be shown, and the ways on. */
export const Trouble = ({ title, children, actions }: TroubleProps) => (
  <Flex justifyContent="center" padding="6">
    <Sheet padding="6" maxWidth="136" role="alert" data-failure>
      <Flex gap="3" alignItems="center" marginBottom="3">
        <Mark kind="wrong" size="large" />
        <Heading as="h1" fontSize="xl">
          {title}
        </Heading>
      </Flex>
      <Box marginBottom="5">{children}</Box>
      <Flex gap="3" flexWrap="wrap">
        {actions}
      </Flex>
    </Sheet>
  </Flex>
);

type FailureProps = { error: unknown; retry: () => void; children?: ReactNode };

/** What went wrong in one sentence, and the way on. */
export const Failure = ({ error, retry, children }: FailureProps) => (
  <Trouble
    title="This could not be shown"
    actions={
      <>
        <Button look="vivid" onClick={retry}>
          Try again
        </Button>
        {children}
      </>
    }
  >
    {error instanceof Unreachable ? `${error.message} Check the network. This page tries again by itself.` : say(error)}
  </Trouble>
);

export const Empty = ({ title, children }: { title: string; children: ReactNode }) => (
  <Sheet tone="well" padding="5">
    <Heading as="h2" fontSize="lg" marginBottom="1">
      {title}
    </Heading>
    <Box color="soft">{children}</Box>
  </Sheet>
);
