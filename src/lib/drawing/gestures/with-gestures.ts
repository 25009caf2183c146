import { whenIdle } from '$lib/client/when-idle';
import type * as Gestures from './d3-gestures';

/**
 * Hands over what reads gestures, once the page has nothing else to do or somebody reaches for the element: a drawing is
 * looked at before it is moved.
 *
 * @param begin may return what takes it back
 * @returns takes all of it back
 */
export function withGestures(
  element: SVGElement,
  begin: (gestures: typeof Gestures) => () => void
): () => void {
  let end: (() => void) | null = null;
  let left = false;
  const load = async () => {
    const gestures = await import('./d3-gestures');
    if (!left) end ??= begin(gestures);
  };
  // what cannot be fetched now is fetched at the next touch
  const reachedFor = () => void load().catch(() => undefined);
  const forget = whenIdle(load);
  element.addEventListener('pointerenter', reachedFor);
  return () => {
    left = true;
    forget();
    element.removeEventListener('pointerenter', reachedFor);
    end?.();
  };
}
