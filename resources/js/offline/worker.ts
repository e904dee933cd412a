import { registerRoute, setCatchHandler } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { ANSWERS, FILES } from './caches';

/*
 * Keeps the last page, its files and the last answers, so that a reload without network still shows the bench.
 * Entries are never sent from here; the page's own outbox does that.
 */
declare const self: ServiceWorkerGlobalScope;

const PAGE = 'page';
const PATIENCE_S = 4;

self.addEventListener('install', (event) => {
  void self.skipWaiting();
  event.waitUntil(caches.open(PAGE).then((cache) => cache.add('/')));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

// Whoever signs out leaves nothing to read on a shared tablet.
self.addEventListener('message', (event) => {
  if (event.data === 'signed-out') event.waitUntil(caches.delete(ANSWERS));
});

// A kept answer says so, and when it was given, for the page must not pass it off as a fresh one.
const markKept = {
  cachedResponseWillBeUsed: async ({ cachedResponse }: { cachedResponse?: Response }) => {
    if (cachedResponse === undefined) return null;
    const headers = new Headers(cachedResponse.headers);
    headers.set('X-Kept', headers.get('Date') ?? 'yes');
    return new Response(cachedResponse.body, { status: cachedResponse.status, headers });
  },
};

/** Sheets, files and the page on trust are no part of it: a sheet looked at last must not be what a reload shows. */
const OTHER_PAGES = /^\/(?:api|calendar|trust)(?:\/|$)/;

// The whole application is one page: whatever address was asked for, the last copy of it will do.
const onePage = { cacheKeyWillBeUsed: async () => '/' };
registerRoute(
  ({ request, url }) => request.mode === 'navigate' && !OTHER_PAGES.test(url.pathname),
  new NetworkFirst({ cacheName: PAGE, networkTimeoutSeconds: PATIENCE_S, plugins: [onePage] }),
);
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && (url.pathname.startsWith('/build/assets/') || url.pathname === '/icon.svg'),
  new CacheFirst({ cacheName: FILES }),
);
/** What gauges send is told as it comes, and never from a copy. */
const OF_THE_MOMENT = /^\/api\/(?:jobs\/[^/]+\/gauges(?:\/stream)?|simulated|bridges)$/;

registerRoute(
  ({ url, sameOrigin, request }) =>
    sameOrigin && request.method === 'GET' && url.pathname.startsWith('/api/') && !OF_THE_MOMENT.test(url.pathname),
  new NetworkFirst({ cacheName: ANSWERS, networkTimeoutSeconds: PATIENCE_S, plugins: [markKept] }),
);
setCatchHandler(async () => Response.error());
