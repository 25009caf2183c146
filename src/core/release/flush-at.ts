import { z } from 'zod';
import { rivetSize } from '../catalog/rivets.ts';
import type { ReleasedFacts, ReleasedHole } from './release.ts';
import { FLUSHNESS_LIMITS } from '../rules/flushness.ts';
import { flushMethod } from '../stack/flush-method.ts';
import { flushTarget, type FlushBand } from '../stack/flush-target.ts';

export const HeadSeat = z.enum(['countersunk', 'dimpled']);
/** What a flush head lies in: a countersink in its sheet, or a dimple. */
export type HeadSeat = z.infer<typeof HeadSeat>;

/** How flush the head of one hole is to stand, and what it lies in. */
export interface FlushAt {
  /** null in releases made before a hole's sheets were frozen */
  seat: HeadSeat | null;
  limits: Pick<FlushBand, 'lowIn' | 'highIn'>;
}

/**
 * What is asked of the flush head in one hole of a release: its shop's limits, and where it lies in a countersink never so low
 * that the cut goes through its sheet.
 *
 * @param hole with the size of the rivet that is in it
 * @returns null for heads that have no flushness, and where the release's rules were not frozen
 * @source stack-up (knife edge), prepare (flushness) and rework (dimpled joints)
 */
export function flushAt(
  { head, rules }: Pick<ReleasedFacts, 'head' | 'rules'>,
  { dash, room }: Pick<ReleasedHole, 'dash' | 'room'>
): FlushAt | null {
  if (head !== 'countersunk' || rules === null) return null;
  const shop = FLUSHNESS_LIMITS[rules.flushness];
  const [topIn] = room?.sheetsIn ?? [];
  if (room === null || topIn === undefined) return { seat: null, limits: shop };
  const method = flushMethod({ sheetsIn: room.sheetsIn, dash });
  if (!method.ok || method.result.method === 'none') return { seat: null, limits: shop };
  if (method.result.method !== 'countersink') return { seat: 'dimpled', limits: shop };
  const target = flushTarget({
    dash,
    deepIn: rivetSize(dash).head.countersunk.heightIn,
    sheetIn: topIn,
    school: rules.flushness
  });
  const { lowIn, highIn } = target.ok ? target.result : shop;
  return { seat: 'countersunk', limits: { lowIn, highIn } };
}
