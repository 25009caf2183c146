import { flushAt } from '../release/flush-at.ts';
import type { ReleasedFacts, ReleasedHole } from '../release/release.ts';
import type { ReplacedRivet } from './replaced-rivet.ts';
import type { ReworkStep } from './rework-moves.ts';

/**
 * What is done at a hole before its new rivet goes in. None is done until somebody ticks it.
 *
 * @param hole as it was before its rivet came out
 * @param rivet that goes in; null where none does
 * @param tooSmall the hole is under the nominal size of that rivet
 * @source prepare and rework
 */
export function stepsAsked(
  facts: Pick<ReleasedFacts, 'head' | 'rules'>,
  hole: Pick<ReleasedHole, 'dash' | 'room'>,
  rivet: Pick<ReplacedRivet, 'dash'> | null,
  tooSmall = false
): ReworkStep[] {
  if (rivet === null) return [];
  const larger = rivet.dash > hole.dash;
  const seat = flushAt(facts, { dash: rivet.dash, room: hole.room })?.seat ?? null;
  const letIn: ReworkStep[] =
    larger && facts.head === 'countersunk' ? [seat === 'dimpled' ? 'dimpled' : 'cut'] : [];
  return [...(larger || tooSmall ? (['drilled'] as const) : []), 'deburred', ...letIn, 'cleaned'];
}
