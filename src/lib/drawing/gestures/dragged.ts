import type { Attachment } from 'svelte/attachments';
import type { Dragged } from './d3-gestures';
import { withGestures } from './with-gestures';

/**
 * Lets an element of a drawing be dragged.
 *
 * @param from what is remembered of the beginning; null where it may not be dragged
 * @param moved told at every step with that and the whole way so far
 */
export const dragged =
  <From>(
    from: () => From | null,
    moved: (from: From, by: Dragged) => void
  ): Attachment<SVGElement> =>
  (element) =>
    withGestures(element, ({ dragging }) => dragging(element, from, moved));
