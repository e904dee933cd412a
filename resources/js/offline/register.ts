import { ANSWERS, FILES } from './caches';

const FIRST_TAPS_MS = 5_000;

/** How long the first screen has for itself at least and at most before anything is put by. */
const FIRST_SCREEN_MS = 1_000;
const PATIENCE_MS = 10_000;

const canKeep = () => 'serviceWorker' in navigator && window.isSecureContext;

/**
 * Asks the browser to keep what a reload without network needs, once the first screen stands: putting by takes a phone as long as drawing.
 * Plain http on a shop's network has no such thing.
 */
export function keepForOffline(isDrawn: () => boolean): void {
  if (canKeep()) void firstScreen(isDrawn).then(keep);
}

async function firstScreen(isDrawn: () => boolean): Promise<void> {
  if (document.readyState !== 'complete')
    await new Promise((resolve) => window.addEventListener('load', resolve, { once: true }));
  const late = performance.now() + PATIENCE_MS;
  do await new Promise((resolve) => setTimeout(resolve, FIRST_SCREEN_MS));
  while (!isDrawn() && performance.now() < late);
}

async function keep(): Promise<void> {
  const worker = navigator.serviceWorker;
  const takesCharge =
    worker.controller === null &&
    new Promise((resolve) => worker.addEventListener('controllerchange', resolve, { once: true }));
  await worker.register('/offline.js');
  if (takesCharge !== false) {
    await takesCharge;
    // What came in before the worker was in charge is fetched again, so that it has it.
    const seen = new Set(performance.getEntriesByType('resource').map((entry) => entry.name));
    const wanted = [...seen]
      .map((name) => new URL(name))
      .filter((url) => url.origin === location.origin && url.pathname.startsWith('/build/'));
    await Promise.allSettled(wanted.map((url) => fetch(url)));
  }
  await keepEveryScreen();
}

type Built = Record<string, { file: string; css?: string[] }>;

/**
 * A screen that was never opened must show without network too. They come one after the other, while the page has
 * nothing else to do.
 */
async function keepEveryScreen(): Promise<void> {
  // Whoever has just opened the page wants the first tap answered before anything is put by.
  await new Promise((resolve) => setTimeout(resolve, FIRST_TAPS_MS));
  const answer = await fetch('/build/manifest.json').catch(() => null);
  if (answer?.ok !== true) return;
  const built: Built = await answer.json();
  const files = Object.values(built)
    .flatMap((one) => [one.file, ...(one.css ?? [])])
    .map((file) => `/build/${file}`);
  const wanted = new Set(files);
  // A server renewed since this page was loaded has other files than this page would ask for.
  const own = [...document.querySelectorAll<HTMLScriptElement>('script[src*="/build/"]')];
  if (own.length === 0 || own.some(({ src }) => !wanted.has(new URL(src).pathname))) return;
  const cache = await caches.open(FILES);
  const kept = await cache.keys();
  const paths = new Set(kept.map((one) => new URL(one.url).pathname));
  for (const file of wanted) {
    if (paths.has(file)) continue;
    await idle();
    await fetch(file).catch(() => null);
  }
  const old = kept.filter(({ url }) => url.includes('/build/') && !wanted.has(new URL(url).pathname));
  await Promise.all(old.map((one) => cache.delete(one)));
}

/** Not every browser says when it is idle. */
const idle = () =>
  new Promise<void>((resolve) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => resolve());
    else setTimeout(resolve, 200);
  });

/** Keeps an answer that the worker did not see: from before it was in charge, or the new state after an entry. */
export async function keepAnswer(path: string, answer: unknown): Promise<void> {
  if (!canKeep()) return;
  const cache = await caches.open(ANSWERS);
  const headers = { 'Content-Type': 'application/json', Date: new Date().toUTCString() };
  await cache.put(path, new Response(JSON.stringify(answer), { headers }));
}

export function forgetAnswers(): void {
  navigator.serviceWorker?.controller?.postMessage('signed-out');
}
