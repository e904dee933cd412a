/** The cache of answers that the worker falls back on; its name is the worker's too. */
const ANSWERS = 'answers';

const canKeep = () => 'serviceWorker' in navigator && window.isSecureContext;

/** Asks the browser to keep what a reload without network needs. Plain http on a shop's network has no such thing. */
export function keepForOffline(): void {
  if (!canKeep()) return;
  const worker = navigator.serviceWorker;
  const inCharge = new Promise<void>((resolve) => {
    if (worker.controller !== null) resolve();
    else worker.addEventListener('controllerchange', () => resolve(), { once: true });
  });
  void worker.register('/offline.js').then(async () => {
    await inCharge;
    // What came in before the worker was in charge is fetched again, so that it has it.
    const seen = new Set(performance.getEntriesByType('resource').map((entry) => entry.name));
    const wanted = [...seen]
      .map((name) => new URL(name))
      .filter((url) => url.origin === location.origin && url.pathname.startsWith('/build/'));
    await Promise.allSettled(wanted.map((url) => fetch(url)));
  });
}

/** Keeps an answer that the worker did not see: from before it was in charge, or the new state after an entry. */
export async function keepAnswer(path: string, answer: unknown): Promise<void> {
  if (!canKeep()) return;
  const cache = await caches.open(ANSWERS);
  await cache.put(path, new Response(JSON.stringify(answer), { headers: { 'Content-Type': 'application/json' } }));
}

export function forgetAnswers(): void {
  navigator.serviceWorker?.controller?.postMessage('signed-out');
}
