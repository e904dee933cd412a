import { Dialog, Portal } from '@chakra-ui/react';
import { type KeyboardEvent, type ReactNode, useEffect, useRef } from 'react';
import { useBackKey } from '../lib/useBackKey';
import { Button } from './Buttons';

type ModalProps = {
  open: boolean;
  onClose: () => void;
  title: string;
  about?: ReactNode;
  children?: ReactNode;
  actions: ReactNode;
  cancel?: string;
  /** A dialog that must be answered has no way around it. */
  must?: boolean;
  /** What is chosen in it is kept at once, so that a tap beside it loses nothing. */
  atOnce?: boolean;
};

/** What is chosen by a tap, beside what is typed. */
const CHOICES = 'button:not([data-cancel]), [role="option"]';

/** Enter in a line of text does what the first button does. */
const enter = (event: KeyboardEvent<HTMLElement>) => {
  const from = event.target;
  if (event.key !== 'Enter' || !(from instanceof HTMLInputElement) || !['text', 'password'].includes(from.type)) return;
  const primary = event.currentTarget.querySelector<HTMLButtonElement>('[data-primary]');
  if (primary === null) return;
  event.preventDefault();
  if (!primary.disabled) primary.click();
};

export const Modal = ({
  open,
  onClose,
  title,
  about,
  children,
  actions,
  cancel = 'Cancel',
  must = false,
  atOnce = false,
}: ModalProps) => {
  const touched = useRef(false);
  useEffect(() => {
    if (open) touched.current = false;
  }, [open]);
  useBackKey(open && !must, onClose);
  const touch = () => {
    touched.current = !atOnce;
  };
  return (
    <Dialog.Root
      open={open}
      onOpenChange={(change) => !change.open && onClose()}
      closeOnEscape={!must}
      closeOnInteractOutside={!must}
      // A tap beside it closes what was only looked at. What was filled in goes by Cancel and Escape, not by a slip.
      onInteractOutside={(event) => touched.current && event.preventDefault()}
      role="dialog"
      lazyMount
      unmountOnExit
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content
            onKeyDown={enter}
            onInput={touch}
            onClick={(event) => event.target instanceof Element && event.target.closest(CHOICES) !== null && touch()}
          >
            <Dialog.Title>{title}</Dialog.Title>
            {about !== undefined && (
              <Dialog.Description asChild>
                {typeof about === 'string' ? <p>{about}</p> : <div>{about}</div>}
              </Dialog.Description>
            )}
            {children}
            <Dialog.Footer>
              {actions}
              {!must && (
                <Button look="quiet" onClick={onClose} data-cancel>
                  {cancel}
                </Button>
              )}
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
};
