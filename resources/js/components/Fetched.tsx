import { type ReactNode, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Button } from './Buttons';
import { isMissing } from './Guarded';
import { Modal } from './Modal';

type FetchedProps = { children: ReactNode; onClose: () => void };

/** A dialog whose files come when it is opened. Where they do not come, the page under it stays, with all that was typed on it. */
export const Fetched = ({ children, onClose }: FetchedProps) => (
  <ErrorBoundary fallbackRender={({ error }) => <NotHere error={error} onClose={onClose} />}>
    <Suspense fallback={null}>{children}</Suspense>
  </ErrorBoundary>
);

const NotHere = ({ error, onClose }: { error: unknown; onClose: () => void }) => (
  <Modal
    open
    onClose={onClose}
    title={isMissing(error) ? 'This part is not on this device' : 'This part failed'}
    about={
      isMissing(error)
        ? 'It comes from the workshop server, which does not answer or has just been renewed. Loading the page anew brings it once the server answers; what is typed on this page and not yet saved is lost then.'
        : 'Something in it went wrong. What was logged is kept. If it fails again when the page is loaded anew, tell whoever looks after the server.'
    }
    cancel="Close"
    actions={
      <Button look="vivid" onClick={() => window.location.reload()} data-primary data-reload>
        Load the page anew
      </Button>
    }
  />
);
