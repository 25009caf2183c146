import type { ActionReturn } from 'svelte/action';
import type { DndEvent, Options } from 'svelte-dnd-action';
import { whenIdle } from '$lib/client/when-idle';

interface ZoneEvents<T> {
  onconsider?: (event: CustomEvent<DndEvent<T>>) => void;
  onfinalize?: (event: CustomEvent<DndEvent<T>>) => void;
}

type Drag = typeof import('svelte-dnd-action');

/** An action of the dragging package that begins once its code is there: nobody drags in the first second. */
function later<P>(begin: (drag: Drag, options: P) => ActionReturn<P>, options: P): ActionReturn<P> {
  let latest = options;
  let running: ActionReturn<P> | undefined;
  let gone = false;
  const cancel = whenIdle(async () => {
    const drag = await import('svelte-dnd-action');
    if (!gone) running = begin(drag, latest);
  });
  return {
    update(next) {
      latest = next;
      running?.update?.(next);
    },
    destroy() {
      gone = true;
      cancel();
      running?.destroy?.();
    }
  };
}

/** A list whose items may be put in another order by their handles. */
export const dragOrder = <T extends { id: string }>(
  node: HTMLElement,
  options: Options<T>
): ActionReturn<Options<T>, ZoneEvents<T>> =>
  later((drag, now: Options<T>) => drag.dragHandleZone(node, now) ?? {}, options);

/** Where an item of such a list is taken hold of. */
export function orderHandle(node: HTMLElement): ActionReturn {
  // keys work at once
  node.tabIndex = 0;
  node.role = 'button';
  return later((drag) => drag.dragHandle(node) ?? {}, undefined);
}
