/** Safari has no idle callback; by then the page has long been drawn. */
const LATER_MS = 1500;

/**
 * Fetches code that is not needed yet once the browser has nothing else to do: a bench that loses its server meanwhile
 * still has all of it.
 *
 * @returns takes it back
 */
export function whenIdle(load: () => Promise<unknown>): () => void {
  // What cannot be fetched now is fetched when it is asked for, and says so then.
  const quietly = () => void load().catch(() => undefined);
  if (typeof requestIdleCallback !== 'function') {
    const timer = setTimeout(quietly, LATER_MS);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(quietly);
  return () => cancelIdleCallback(handle);
}
