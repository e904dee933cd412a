/** Asks the browser to keep what a reload without network needs. Plain http on a shop's network has no such thing. */
export function keepForOffline(): void {
  if (!('serviceWorker' in navigator) || !window.isSecureContext) return;
  void navigator.serviceWorker.register('/offline.js').then(async () => {
    await navigator.serviceWorker.ready;
    // Files that came in before the worker did are fetched again, so that it has them.
    const names = performance.getEntriesByType('resource').map((entry) => new URL(entry.name));
    const files = names.filter((url) => url.origin === location.origin && url.pathname.startsWith('/build/'));
    await Promise.allSettled(files.map((url) => fetch(url)));
  });
}

export function forgetAnswers(): void {
  navigator.serviceWorker?.controller?.postMessage('signed-out');
}
