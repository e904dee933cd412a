/** Tells every tab of this device that somebody else is signed in now, or nobody: none goes on under a name that has left. */
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('vivid-pull.session');

export const tellTabs = (): void => channel?.postMessage('changed');

export function hearTabs(changed: () => void): () => void {
  channel?.addEventListener('message', changed);
  return () => channel?.removeEventListener('message', changed);
}
