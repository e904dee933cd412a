import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useLocation } from 'react-router';
import { Button, LinkButton } from './Buttons';
import { Frame } from './Frame';
import { Trouble } from './States';

/** How browsers say that a part of the page did not come. */
const MISSING = /dynamically imported module|importing a module script|module script failed|preload/i;

export const isMissing = (error: unknown) => error instanceof Error && MISSING.test(error.message);

type GuardedProps = { children: ReactNode; within: 'frame' | 'page' };

/**
 * A screen that fails is told of in its place, within the frame: the rest of the workshop can still be gone to. What
 * fails round the screens is told of on a page of its own.
 */
export const Guarded = ({ children, within }: GuardedProps) => {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary FallbackComponent={within === 'frame' ? InFrame : Broken} resetKeys={[pathname]}>
      {children}
    </ErrorBoundary>
  );
};

const InFrame = ({ error }: FallbackProps) => (
  <Frame>
    <Broken error={error} />
  </Frame>
);

const Broken = ({ error }: { error: unknown }) => {
  const missing = isMissing(error);
  return (
    <Box data-broken={missing ? 'missing' : 'failed'}>
      <Trouble
        title={missing ? 'This screen is not on this device' : 'This screen failed'}
        actions={
          <>
            <Button look="vivid" onClick={() => window.location.reload()} data-primary>
              Load it anew
            </Button>
            <LinkButton to="/" look="quiet" textDecoration="none">
              To the bench
            </LinkButton>
          </>
        }
      >
        <Box marginBottom="2">
          {missing
            ? 'It was never opened here, or the workshop has a newer version of it. It comes from the workshop server, which does not answer or has just been renewed.'
            : 'Something on it went wrong. If it fails again when loaded anew, tell whoever looks after the server.'}
        </Box>
        <Box>What was logged is kept, sent or not.</Box>
      </Trouble>
    </Box>
  );
};
