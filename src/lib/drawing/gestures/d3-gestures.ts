import { drag, select, zoom, zoomIdentity, type D3DragEvent, type ZoomTransform } from 'd3';

/** Where a drawing has been moved to: pixels of the page are `x + k × pixels of the drawing`. */
export interface View {
  k: number;
  x: number;
  y: number;
}

const MOST_ZOOM = 60;
const OWN_DRAG = '[data-drag], [data-hole]';

/** Lets a drawing be moved and enlarged; `seen` is told each view. */
export function zooming(element: SVGSVGElement, seen: (view: View) => void) {
  const behavior = zoom<SVGSVGElement, unknown>()
    .scaleExtent([1, MOST_ZOOM])
    // what can be dragged or brushed along by itself does not drag the drawing
    .filter(
      (event: Event) =>
        event.type === 'wheel' ||
        ('touches' in event && (event as TouchEvent).touches.length > 1) ||
        (!(event.target instanceof Element && event.target.closest(OWN_DRAG)) &&
          !(event instanceof MouseEvent && event.type === 'mousedown' && event.button !== 0))
    )
    .on('zoom', ({ transform: { k, x, y } }: { transform: ZoomTransform }) => seen({ k, x, y }));
  const drawing = select(element).call(behavior).on('dblclick.zoom', null);
  return {
    by: (factor: number, at: [number, number]) => void drawing.call(behavior.scaleBy, factor, at),
    pan: (dx: number, dy: number) => void drawing.call(behavior.translateBy, dx, dy),
    fit: () => void drawing.call(behavior.transform, zoomIdentity),
    end: () => void drawing.on('.zoom', null)
  };
}

/** Where a drag began, and how far it has come; px. */
export interface Dragged {
  dxPx: number;
  dyPx: number;
}

/**
 * Lets an element of a drawing be dragged; what lies beneath it keeps still meanwhile.
 *
 * @returns takes it back
 */
export function dragging<From>(
  element: SVGElement,
  from: () => From | null,
  moved: (from: From, by: Dragged) => void
): () => void {
  let start: { from: From; x: number; y: number } | null = null;
  const target = select(element);
  // In the window's pixels: the drawing itself may be moved or enlarged.
  const behavior = drag<SVGElement, unknown>()
    .container(() => document.documentElement)
    .clickDistance(4)
    .on('start', ({ x, y }: D3DragEvent<SVGElement, unknown, unknown>) => {
      const held = from();
      start = held === null ? null : { from: held, x, y };
    })
    .on('drag', ({ x, y }: D3DragEvent<SVGElement, unknown, unknown>) => {
      if (start) moved(start.from, { dxPx: x - start.x, dyPx: y - start.y });
    })
    .on('end', () => {
      start = null;
    });
  target.call(behavior);
  return () => target.on('.drag', null);
}
