import type { Attachment } from 'svelte/attachments';
import type { HoleMark } from './hole-marks.ts';
import type { Place } from './part-path.ts';

/** A gloved finger's reach on the screen. */
const REACH_PX = 22;

/** The hole nearest to a place on the screen, within a finger's reach. */
export function nearestHole(
  marks: readonly Pick<HoleMark, 'number' | 'xIn' | 'yIn'>[],
  { x, y }: Pick<Place, 'x' | 'y'>,
  atX: number,
  atY: number
): number | null {
  let nearest: number | null = null;
  let withinPx = REACH_PX;
  for (const { number, xIn, yIn } of marks) {
    const awayPx = Math.hypot(x(xIn) - atX, y(yIn) - atY);
    if (awayPx > withinPx) continue;
    withinPx = awayPx;
    nearest = number;
  }
  return nearest;
}

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
