import type * as Gestures from './d3-gestures';

/**
 * Hands over what reads gestures, right after the page is there or when somebody reaches for the element: a drawing is looked
 * at before it is moved. The element says by `data-gestures` that it can be.
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
    if (left || end) return;
    end = begin(gestures);
    element.dataset['gestures'] = '';
  };
  // what cannot be fetched now is fetched at the next touch
  const reachedFor = () => void load().catch(() => undefined);
  const timer = setTimeout(reachedFor);
  element.addEventListener('pointerenter', reachedFor);
  return () => {
    left = true;
    clearTimeout(timer);
    element.removeEventListener('pointerenter', reachedFor);
    end?.();
  };
}
