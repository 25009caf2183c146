import { drag, select, type D3DragEvent } from 'd3';
import type { Attachment } from 'svelte/attachments';

/** Where a drag began, and how far it has come; px. */
export interface Dragged {
  dxPx: number;
  dyPx: number;
}

/**
 * Lets an element of a drawing be dragged; what lies beneath it keeps still meanwhile.
 *
 * @param from what is remembered of the beginning; null where it may not be dragged
 * @param moved told at every step with that and the whole way so far
 */
export const dragged = <From>(
  from: () => From | null,
  moved: (from: From, by: Dragged) => void
): Attachment<SVGElement> => {
  let start: { from: From; x: number; y: number } | null = null;
  return (element) => {
    const target = select(element);
    // In the window's pixels: the drawing itself may be moved or enlarged.
    const behaviour = drag<SVGElement, unknown>()
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
    target.call(behaviour);
    return () => target.on('.drag', null);
  };
};
