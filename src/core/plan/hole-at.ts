import { readDrill } from '../catalog/drills.ts';
import type { Joint } from '../kinds/joint.ts';
import type { LineWish } from '../layout/lines.ts';
import { snapToRuler } from '../units/ruler.ts';
import { blindOf } from './open-blind.ts';
import type { Place } from './fixed-places.ts';
import { pointOff, type PlannedHole } from './holes.ts';

/**
 * A hole at its place, with its mark. Written out field by field: thousands are made at every keystroke, and
 * spreading objects into one another costs twenty times as much.
 */
export function holeAt(
  wish: LineWish,
  joint: Joint,
  datumIn: number,
  place: Place,
  spot: { xIn: number; yIn: number },
  edit: Joint['edits'][number] | undefined,
  count: { number: number; row: number; index: number; of: number }
): PlannedHole {
  const { path } = wish;
  const nudgedIn = edit?.nudgeIn ?? 0;
  const alongIn = place.alongIn + nudgedIn;
  const { xIn, yIn } = nudgedIn === 0 ? spot : pointOff(path, alongIn, place.offIn);
  const ring = path.path === 'circle';
  const scale = place.fixed === null ? joint.scale : 'exact';
  const markIn = snapToRuler(ring ? xIn - path.xIn : alongIn - datumIn, scale);
  const crossMarkIn = ring ? snapToRuler(yIn - path.yIn, scale) : null;
  const marked = ring
    ? { xIn: path.xIn + markIn, yIn: path.yIn + (crossMarkIn ?? 0) }
    : pointOff(path, datumIn + markIn, place.offIn);
  const heldOpen = edit?.state === 'held-open';
  return {
    number: count.number,
    row: count.row,
    index: count.index,
    of: count.of,
    xIn,
    yIn,
    alongIn,
    markIn,
    crossMarkIn,
    residualIn: ring
      ? Math.hypot(marked.xIn - xIn, marked.yIn - yIn)
      : markIn - (alongIn - datumIn),
    markXIn: marked.xIn,
    markYIn: marked.yIn,
    dash: wish.dash,
    stack: wish.stack,
    gripIn: 0,
    state: heldOpen ? 'held-open' : 'rivet',
    reason: heldOpen ? edit.reason : '',
    openDrill: heldOpen ? readDrill(edit.drill) : null,
    blind: heldOpen ? blindOf(edit) : null,
    flushed: !heldOpen || edit.asRivets,
    fixed: place.fixed,
    nudgedIn
  };
}
