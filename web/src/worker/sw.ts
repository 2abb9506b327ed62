/// <reference lib="webworker" />
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { sendInBackground } from './background.ts';

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: (string | PrecacheEntry)[] };

/** The sync event of browsers that send in the background. */
interface SyncEvent extends ExtendableEvent {
  readonly tag: string;
}

/*
 * The whole application lies on the device and opens without a network, on any of its pages. What the server answers is not kept
 * here: the page itself knows what of it still holds.
 */
cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));

// A new version waits until the page says that nothing is in hand.
self.addEventListener('message', (event) => {
  if (event.data === 'take-over') void self.skipWaiting();
});

self.addEventListener('sync', (event) => {
  const { tag } = event as SyncEvent;
  if (tag === 'outbox')
    (event as SyncEvent).waitUntil(sendInBackground(() => self.clients.matchAll({ type: 'window', includeUncontrolled: true })));
});
