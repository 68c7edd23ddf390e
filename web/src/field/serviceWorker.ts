/// <reference lib="webworker" />
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { SYNC_TAG, TAKE_OVER } from './background.ts';
import { sync } from './sync.ts';
import * as phrases from './phrases.ts';

declare const self: ServiceWorkerGlobalScope & {
  readonly __WB_MANIFEST: { url: string; revision: string | null }[];
};

/** So long the base is waited for before what was last seen of it is shown. */
const BASE_TIMEOUT_S = 3;

precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
// Any address of the application is the application, network or not; the base's answers are not.
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api/] }));
// Comparisons and walks as last seen, when the base is out of reach. What is written goes through the field
// log alone.
registerRoute(
  ({ url, request }) =>
    request.method === 'GET' &&
    url.pathname.startsWith('/api/comparisons') &&
    // Answers of another state would be taken for those of this one; without a link the study is made here.
    !url.pathname.includes('/answers/') &&
    !url.pathname.endsWith('.csv') &&
    !url.pathname.endsWith('.json'),
  new NetworkFirst({ cacheName: 'base', networkTimeoutSeconds: BASE_TIMEOUT_S }),
);

// The first one takes over at once; a newer one waits until the page says that no walk is under way.
self.addEventListener('install', () => {
  if (!self.registration.active) void self.skipWaiting();
});
self.addEventListener('message', (event) => {
  if (event.data !== TAKE_OVER) return;
  // Another page may hold what nobody has saved yet, and goes on with the parts that it began with.
  event.waitUntil(
    self.clients
      .matchAll({ type: 'window', includeUncontrolled: true })
      .then((pages) => (pages.length > 1 ? undefined : self.skipWaiting())),
  );
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
// The browser has a link again, even if no page is open: send what waits.
self.addEventListener('sync', ((event: ExtendableEvent & { tag: string }) => {
  if (event.tag === SYNC_TAG)
    event.waitUntil(
      sync().then((all) => (all ? undefined : Promise.reject(new Error(phrases.theBaseIsStillOutOf)))),
    );
}) as EventListener);
