/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
/// <reference types="@sveltejs/kit" />
/**
 * What a browser keeps so that work goes on without the server: the program itself, and pages as they were last loaded.
 * What is logged meanwhile waits in the outbox, not here.
 */
import { build, files, version } from '$service-worker';
import { CacheableResponsePlugin } from 'workbox-cacheable-response';
import { ExpirationPlugin } from 'workbox-expiration';
import {
  cleanupOutdatedCaches,
  precacheAndRoute,
  PrecacheFallbackPlugin
} from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { presentAddress } from '$lib/stations/older-addresses.ts';

/** where this build keeps its pages */
declare const __PAGES_CACHE__: string;
const self = globalThis.self as unknown as ServiceWorkerGlobalScope;

/** Nobody waits longer for a server that is away, where the page is kept here too. */
const WAIT_S = 4;
const MOST_PAGES = 200;
const PAGES_KEPT_S = 48 * 3600;
const AWAY = '/away.html';
/** Letters come once, as every browser reads them that keeps pages. */
const KEPT = /\.(?:js|css|woff2|svg|png|html)$/;

// the page that is open when it is first put in is its page from then on
self.addEventListener('activate', () => void self.clients.claim());
// a new version is taken up when whoever works says so
self.addEventListener('message', ({ data }) => {
  if ((data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});

cleanupOutdatedCaches();
precacheAndRoute([
  // named by what is in them
  ...build.filter((url) => KEPT.test(url)).map((url) => ({ url, revision: null })),
  ...files.filter((url) => KEPT.test(url)).map((url) => ({ url, revision: version }))
]);

// an older address of a stage: known without the server too
registerRoute(
  ({ request, url }) => request.mode === 'navigate' && presentAddress(url.pathname) !== null,
  ({ url }) =>
    Promise.resolve(
      Response.redirect(`${url.origin}${presentAddress(url.pathname) ?? ''}${url.search}`, 308)
    )
);
registerRoute(
  ({ request }) => request.mode === 'navigate',
  new NetworkFirst({
    cacheName: __PAGES_CACHE__,
    networkTimeoutSeconds: WAIT_S,
    plugins: [
      new CacheableResponsePlugin({ statuses: [200] }),
      new ExpirationPlugin({ maxEntries: MOST_PAGES, maxAgeSeconds: PAGES_KEPT_S }),
      {
        // a server without its database says so: the page as it was here serves better
        fetchDidSucceed({ response }) {
          return response.status === 503
            ? Promise.reject(new Error('away'))
            : Promise.resolve(response);
        },
        // a page of another build asks for code that this worker has not: it would stand there dead
        cachedResponseWillBeUsed: ({ cacheName, cachedResponse }) =>
          Promise.resolve(
            cachedResponse?.headers.get('x-pages') === cacheName ? cachedResponse : null
          )
      },
      new PrecacheFallbackPlugin({ fallbackURL: AWAY })
    ]
  })
);
