/** Whether a key press belongs to whatever has the focus: a text field, a list, or an open dialog. */
export function belongsToFocus(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="listbox"]') !== null;
}

export const isPlain = (event: KeyboardEvent) => !event.ctrlKey && !event.metaKey && !event.altKey;
