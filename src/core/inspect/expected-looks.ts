import type { Release } from '../release/release.ts';
import type { HoleEvent } from './hole-events.ts';
import { judgeLook, type HoleLook } from './hole-look.ts';

/** Looks that nobody has answered yet, as they will be judged; what would be refused is left out. */
export function expectedLooks(
  looks: readonly HoleLook[],
  { facts, holes }: Pick<Release, 'facts' | 'holes'>
): HoleEvent[] {
  const asReleased = new Map(holes.map((hole) => [hole.number, hole]));
  return looks.flatMap((look): HoleEvent[] => {
    const hole = asReleased.get(look.hole);
    const judged = hole && judgeLook(look, facts, hole);
    return judged?.ok ? [{ ...look, by: '', frozen: judged.result }] : [];
  });
}
