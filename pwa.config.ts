import type { SvelteKitPWAOptions } from '@vite-pwa/sveltekit';

/**
 * Kept pages are of one build: those of another ask for code that is gone. A build reads this file more than once, so its
 * name stands in the environment.
 */
const build = (process.env['ZANJADOR_BUILD'] ??= Date.now().toString(36));
export const PAGES_CACHE = `pages-${build}`;

/** Nobody waits longer for a server that is away, where the page is kept here too. */
const WAIT_S = 4;

/**
 * What a browser keeps so that work goes on without the server: the program itself, and pages as they were last loaded.
 * What is logged meanwhile waits in the outbox, not here.
 */
export const PWA: Partial<SvelteKitPWAOptions> = {
  strategies: 'generateSW',
  // a new version is taken up when whoever works says so
  registerType: 'prompt',
  // wherever one comes in, the worker is the whole application's
  base: '/',
  scope: '/',
  injectRegister: false,
  manifest: {
    name: 'Zanjador',
    short_name: 'Zanjador',
    description: 'Riveted joints, from bare sheets to a signed record',
    start_url: '/',
    display: 'standalone',
    background_color: '#f5f2e9',
    theme_color: '#1f262b',
    icons: [
      { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: 'icon-512-whole.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' }
    ]
  },
  workbox: {
    globPatterns: ['client/**/*.{js,css,woff2,svg,png,html}'],
    navigateFallback: null,
    // the page that is open when it is first put in is its page from then on
    clientsClaim: true,
    maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
    runtimeCaching: [
      {
        urlPattern: ({ request }) => request.mode === 'navigate',
        handler: 'NetworkFirst',
        options: {
          cacheName: PAGES_CACHE,
          networkTimeoutSeconds: WAIT_S,
          cacheableResponse: { statuses: [200] },
          expiration: { maxEntries: 200, maxAgeSeconds: 48 * 3600 },
          // a server without its database says so: the page as it was here serves better
          plugins: [
            {
              fetchDidSucceed: async ({ response }) => {
                if (response.status === 503) throw new Error('away');
                return response;
              },
              // a page of another build asks for code that this worker has not: it would stand there dead
              cachedResponseWillBeUsed: ({ cacheName, cachedResponse }) =>
                Promise.resolve(
                  cachedResponse?.headers.get('x-pages') === cacheName ? cachedResponse : null
                )
            }
          ],
          precacheFallback: { fallbackURL: '/away' }
        }
      }
    ]
  }
};
