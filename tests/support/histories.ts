import fc from 'fast-check';
import type { Recorded, Stamped, Stream } from '../../src/core/events/stream.ts';

/** Day on which everything in these histories happens. */
const BEGAN_MS = Date.parse('2031-05-02T08:00:00Z');

export const idOf = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
export const instant = (n: number): string => new Date(BEGAN_MS + n * 20_000).toISOString();

/** What was tried: moves before they have an id and an instant, in the order in which they happened. */
export type Tries = readonly object[];

/**
 * Does what was tried, one thing after the other, 20 s apart: what the stream lets through is its history.
 *
 * @param rightly made of a move and its place before the stream sees it: a move may name another by its id
 */
export function happened<Subject, Move extends Stamped, Frozen, State>(
  stream: Stream<Subject, Move, Frozen, State>,
  subject: Subject,
  tries: Tries
): Recorded<Move, Frozen>[] {
  const events: Recorded<Move, Frozen>[] = [];
  tries.forEach((loose, n) => {
    const move = stream.Move.parse({ id: idOf(n), at: instant(n), ...loose });
    const may = stream.follow(subject, stream.project(subject, events), move);
    if (may.ok) events.push({ ...move, by: 'Ilse', frozen: may.result });
  });
  return events;
}

/** An order in which some of it is sent twice, by devices that were away for a while. */
export const arrivals = <Event>(events: readonly Event[]): fc.Arbitrary<Event[]> =>
  fc
    .array(fc.integer({ min: 0, max: Math.max(0, events.length - 1) }), { maxLength: 4 })
    .chain((again) => {
      const sent = [
        ...events,
        ...(events.length === 0 ? [] : again.map((at) => events[at] as Event))
      ];
      return fc.shuffledSubarray(sent, { minLength: sent.length });
    });
