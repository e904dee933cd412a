import { Dialog, Portal } from '@chakra-ui/react';
import type { KeyboardEvent, ReactNode } from 'react';
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
};

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
}: ModalProps) => (
  <Dialog.Root
    open={open}
    onOpenChange={(change) => !change.open && onClose()}
    closeOnEscape={!must}
    closeOnInteractOutside={!must}
    role="dialog"
    lazyMount
    unmountOnExit
  >
    <Portal>
      <Dialog.Backdrop />
      <Dialog.Positioner>
        <Dialog.Content onKeyDown={enter}>
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
