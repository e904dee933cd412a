import { useEffect, useRef } from 'react';

/** Not in TypeScript's own lists yet: https://html.spec.whatwg.org/multipage/interaction.html#closewatcher */
type Watcher = { onclose: (() => void) | null; destroy: () => void };

/** On a phone the back key closes what lies on top and does not leave the page below. Where a browser knows no such thing, it leaves the page. */
export function useBackKey(isOpen: boolean, close: () => void): void {
  const latest = useRef(close);
  useEffect(() => {
    latest.current = close;
  });
  useEffect(() => {
    const { CloseWatcher: Made } = window as { CloseWatcher?: new () => Watcher };
    // With a keyboard it would answer Escape too, which first closes a list within the dialog.
    if (!isOpen || Made === undefined || !window.matchMedia('(pointer: coarse)').matches) return;
    const watcher = new Made();
    watcher.onclose = () => latest.current();
    return () => watcher.destroy();
  }, [isOpen]);
}
