import { answer, num, notPossible, workLine, type Answer } from '../answer.ts';
import { windowOf, type IceboxWindow } from '../rules/icebox.ts';
import type { Alloy } from '../schema/fields.ts';
import { floorTo } from '../units/tolerance.ts';
import type { DriveMove } from './drive-move.ts';

/**
 * How many rivets to take out of the cold at once: as many as are driven at one's own pace until they are due, and no more
 * than are still open.
 *
 * @param perRivetS seconds from one rivet to the next
 * @param open holes of that rivet that are not driven yet
 * @param out rivets of it that are out already and may still be driven: they are driven first
 * @param times the shop's own, minutes; null: the guidance's
 * @returns `not-possible` where the alloy is driven as received
 * @throws never
 * @source rivets and drive: take out only what can be driven in the window
 */
export function takeOutAdvice(
  alloy: Alloy,
  perRivetS: number,
  open: number,
  out = 0,
  times: IceboxWindow | null = null
): Answer<{ count: number; dueMinutes: number }> {
  const cold = windowOf(alloy, times);
  if (!cold) return notPossible('alloy', { code: 'not-driven-cold', alloy });
  const inTime = floorTo((cold.dueMinutes * 60) / perRivetS);
  const count = Math.max(0, Math.min(open, inTime) - out);
  return answer({ count, dueMinutes: cold.dueMinutes }, [
    workLine('in time', `⌊${cold.dueMinutes} min × 60 / ${num(perRivetS)} s⌋`, inTime, 'rivets'),
    workLine(
      'take out',
      `least of ${inTime} and ${open} still open${out > 0 ? `, less ${out} that are out` : ''}`,
      count,
      'rivets'
    )
  ]);
}

/**
 * Rivets of each batch that were driven here and that the server has not counted yet: gone from it already.
 *
 * @param waiting moves on their way, in order
 * @param isIn whether a hole's rivet was in before them: more blows take no other rivet
 */
export function onTheirWay(
  waiting: readonly DriveMove[],
  isIn: (hole: number) => boolean
): Map<string, number> {
  const batchOf = new Map<number, string | null>();
  for (const move of waiting)
    if (move.kind === 'driven' && !isIn(move.hole)) batchOf.set(move.hole, move.batch);
    else if (move.kind === 'undriven') batchOf.delete(move.hole);
  const counts = new Map<string, number>();
  for (const batch of batchOf.values())
    if (batch !== null) counts.set(batch, (counts.get(batch) ?? 0) + 1);
  return counts;
}
