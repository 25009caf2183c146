import fc from 'fast-check';
import { expect } from 'vitest';
import type { Recorded, Stamped, Stream } from '../../src/core/events/stream.ts';
import { arrivals, happened, type Tries } from './histories.ts';

/*
 * Devices are away, send late, send twice: whatever order entries come in, the state is the one that the order in which
 * things happened gives. Seeds are fixed here; `./zanjador fuzz` takes fresh ones.
 */
const SEED = Number(process.env['PROPERTY_SEED'] ?? 20_261);
const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 150);

export function inAnyOrder<Subject, Move extends Stamped, Frozen, State>(
  stream: Stream<Subject, Move, Frozen, State>,
  subject: fc.Arbitrary<Subject>,
  tries: fc.Arbitrary<Tries>
): void {
  let longest = 0;
  fc.assert(
    fc.property(
      fc
        .tuple(subject, tries)
        .map(([on, tried]) => ({ on, events: happened(stream, on, tried) }))
        .chain(({ on, events }) =>
          fc.record({
            on: fc.constant(on),
            events: fc.constant(events),
            arrived: arrivals<Recorded<Move, Frozen>>(events)
          })
        ),
      ({ on, events, arrived }) => {
        longest = Math.max(longest, events.length);
        expect(stream.project(on, arrived)).toEqual(stream.project(on, events));
        // read in two goes, as long as the second happened after the first
        const half = Math.floor(events.length / 2);
        const first = stream.project(on, events.slice(0, half));
        expect(stream.project(on, events.slice(half), first)).toEqual(stream.project(on, events));
      }
    ),
    { seed: SEED, numRuns: RUNS }
  );
  // histories of one entry each would show nothing
  expect(longest).toBeGreaterThan(3);
}

export const hole = fc.integer({ min: 1, max: 3 });
export const tried = (...kinds: fc.Arbitrary<object>[]): fc.Arbitrary<Tries> =>
  fc.array(fc.oneof(...kinds), { minLength: 1, maxLength: 24, size: 'max' });
