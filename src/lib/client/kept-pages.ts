/** Where the worker of the application looks for pages when there is no server; those of other builds begin alike. */
const PAGES = __PAGES_CACHE__;
const isPages = (name: string): boolean => name.startsWith('pages-');
/** Several things logged one after the other are one copy. */
const SOON_MS = 4000;

let timer: ReturnType<typeof setTimeout> | undefined;

/** Keeps pages in this browser as they are now, once it is quiet: they open without the server. */
export function keepPagesSoon(paths: readonly string[]): void {
  if (typeof caches === 'undefined' || !('serviceWorker' in navigator)) return;
  clearTimeout(timer);
  timer = setTimeout(
    () => void navigator.serviceWorker.ready.then(() => keepPages(paths)),
    SOON_MS
  );
}

/** Grows when hands change: what was asked for before is another's. */
let hands = 0;

async function keepPages(paths: readonly string[]): Promise<void> {
  const asked = hands;
  await drop((name) => name !== PAGES);
  const pages = await caches.open(PAGES);
  for (const path of paths) {
    const page = await fetch(path, { headers: { accept: 'text/html' } }).catch(() => null);
    // a redirect leads to signing in: that page is another's; one of a newer build is for a newer worker
    const isOurs = page?.headers.get('x-pages') === PAGES;
    if (!page?.ok || page.redirected || !isOurs) continue;
    if (asked !== hands) return;
    // cut off on its way, or no room left: it is kept another time
    await pages.put(path, page).catch(() => undefined);
  }
}

/** Pages are of whoever was at the bench: the next one has none of them. */
export async function forgetPages(): Promise<void> {
  clearTimeout(timer);
  hands += 1;
  if (typeof caches !== 'undefined') await drop(() => true);
}

async function drop(which: (name: string) => boolean): Promise<void> {
  const names = (await caches.keys()).filter((name) => isPages(name) && which(name));
  await Promise.all(names.map((name) => caches.delete(name)));
}
