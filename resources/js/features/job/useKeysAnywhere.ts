import { useEffect } from 'react';

const STARTS_A_LINE = /^[\p{L}\p{N}.,+-]$/u;

/** The one key that no line begins with: it presses the vivid action, as Ctrl and Enter do with a line begun. */
const PRESS = '=';

function pressVivid(): void {
  const scope = document.querySelector('[role="dialog"]') ?? document;
  scope.querySelector<HTMLElement>('[data-primary]:not(:disabled)')?.click();
}

/** A figure or letter typed with the cursor nowhere goes to the bench line. */
export function useKeysAnywhere(
  on: boolean,
  field: React.RefObject<HTMLInputElement | null>,
  setLine: (text: string) => void,
): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const inside =
        event.target instanceof HTMLElement ? event.target.closest('input, textarea, select, [role="dialog"]') : null;
      const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
      const idle = inside === null ? on : inside === field.current && field.current?.value === '';
      const chord = event.key === 'Enter' && (event.ctrlKey || event.metaKey);
      if (chord || (plain && idle && event.key === PRESS)) {
        event.preventDefault();
        pressVivid();
      } else if (on && inside === null && plain && STARTS_A_LINE.test(event.key) && field.current !== null) {
        event.preventDefault();
        setLine(field.current.value + event.key);
        field.current.focus();
      }
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  });
}
