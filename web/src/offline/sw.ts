/// <reference lib="webworker" />
import { Queue } from 'workbox-background-sync';
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst, NetworkOnly } from 'workbox-strategies';
import { kept } from './kept';
import { drop, tellsOutage, wait, type NothingOwed } from './owed';

// Lets the page open while the server is gone. Nothing is taken from here while the server answers in time.
declare const self: ServiceWorkerGlobalScope & { __FILES: { url: string; revision: null }[] };

const PAGE_CACHE = 'page';
const HOME_CACHE = 'home';
const PATIENCE_S = 5;
const SESSION = /^\/api\/v1\/(session(\/\w+)?|keepers)$/;

precacheAndRoute(self.__FILES);
cleanupOutdatedCaches();

/** Every address of the application is the same page. */
const page = new NetworkFirst({ cacheName: PAGE_CACHE, networkTimeoutSeconds: PATIENCE_S });
registerRoute(
  new NavigationRoute((options) => page.handle({ ...options, request: new Request('/') }), {
    denylist: [/^\/api\//],
  }),
);

registerRoute(
  ({ url }) => kept(url.pathname),
  new NetworkFirst({ cacheName: HOME_CACHE, networkTimeoutSeconds: PATIENCE_S }),
);

/** Whoever comes or goes: nothing of a home stays for the next one. */
const forget = async ({ request }: { request: Request }) => {
  const answer = await fetch(request);
  await caches.delete(HOME_CACHE);
  return answer;
};
registerRoute(({ url }) => SESSION.test(url.pathname), forget, 'POST');
registerRoute(({ url }) => SESSION.test(url.pathname), forget, 'DELETE');

/** A browser that can sends it when the network is back, even if the page is closed by then. */
const owed = new Queue('outages', { maxRetentionTime: 7 * 24 * 60 });
registerRoute(
  ({ url }) => tellsOutage(url.pathname),
  new NetworkOnly({ plugins: [{ fetchDidFail: ({ request }) => wait(owed, request) }] }),
  'POST',
);

self.addEventListener('message', (event) => {
  const { nothingOwedOf } = event.data as Partial<NothingOwed>;
  if (nothingOwedOf !== undefined) event.waitUntil(drop(owed, nothingOwedOf));
});

self.addEventListener('install', (event) => {
  void self.skipWaiting();
  event.waitUntil(caches.open(PAGE_CACHE).then((cache) => cache.add('/')));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
