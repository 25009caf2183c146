import type { Attachment } from 'svelte/attachments';

/**
 * Picks holes of a drawing: a tap picks the nearest, and a finger that came down on a hole and moves on picks each one it
 * passes, once.
 *
 * @param near the hole at a place in the drawing, px
 */
export const picksHoles =
  (
    near: (xPx: number, yPx: number) => number | null,
    onpick: (hole: number) => void
  ): Attachment<SVGSVGElement> =>
  (element) => {
    /** holes under the finger since it came down; null while none is down on a hole */
    let passed: number[] | null = null;
    const at = ({ clientX, clientY }: MouseEvent): number | null => {
      const box = element.getBoundingClientRect();
      return near(clientX - box.left, clientY - box.top);
    };
    const click = (event: MouseEvent) => {
      const brushed = (passed?.length ?? 0) > 1;
      passed = null;
      const hole = brushed ? null : at(event);
      if (hole !== null) onpick(hole);
    };
    const down = (event: PointerEvent) => {
      const onHole = event.target instanceof Element && event.target.closest('[data-hole]');
      const hole = onHole ? at(event) : null;
      passed = hole === null ? null : [hole];
    };
    const move = (event: PointerEvent) => {
      if (passed === null || event.buttons === 0) return;
      const hole = at(event);
      if (hole === null || passed.includes(hole)) return;
      // a finger that trembles on one hole taps it; only another one makes it a stroke
      if (passed.length === 1 && passed[0] !== undefined) onpick(passed[0]);
      passed.push(hole);
      onpick(hole);
    };
    const cancel = () => (passed = null);
    const listening = new AbortController();
    const { signal } = listening;
    element.addEventListener('click', click, { signal });
    element.addEventListener('pointerdown', down, { signal });
    element.addEventListener('pointermove', move, { signal });
    element.addEventListener('pointercancel', cancel, { signal });
    return () => listening.abort();
  };
