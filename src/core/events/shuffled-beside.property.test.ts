import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { happened, idOf } from '../../../tests/support/histories.ts';
import { setupOf } from '../../../tests/support/cages.ts';
import { gunOf, squeezerOf } from '../../../tests/support/tool-setups.ts';
import { coldStream } from '../driving/cold-events.ts';
import { cageStream } from '../prepare/cage/setting.ts';
import { stepStream } from '../prepare/progress.ts';
import { signStream } from '../signing/sign-events.ts';
import { stockStream } from '../stock/stock.ts';
import { toolStream } from '../tool-setting/tool-stream.ts';

import { hole, inAnyOrder, tried } from '../../../tests/support/any-order.ts';

const trial = fc.oneof(
  fc.record({
    what: fc.constant('squeeze'),
    divisions: fc.integer({ min: 0, max: 12 }),
    read: fc.record({ by: fc.constant('caliper'), heightIn: fc.constantFrom(0.14, 0.1, 0.08) }),
    fresh: fc.constant(true)
  }),
  fc.record({
    what: fc.constant('wood'),
    airPsi: fc.constantFrom(30, 40, 50),
    wood: fc.constantFrom('wimpy', 'dents', 'splits')
  })
);
const named = fc.integer({ min: 0, max: 23 }).map(idOf);

describe('any order of arrival, any repeat, beside driving', () => {
  it('of ticks', () => {
    inAnyOrder(
      stepStream,
      fc.constant(null),
      tried(
        fc.record({
          kind: fc.constant('ticked'),
          step: fc.constantFrom('pilot', 'deburr'),
          hole: fc.option(hole),
          of: fc.constantFrom(3, 4),
          done: fc.boolean(),
          timed: fc.constant(null)
        })
      )
    );
  });

  it('of rivets in a bin', () => {
    inAnyOrder(
      stockStream,
      fc.constant({ partNumber: 'MS20470DD5-6', lot: 'Q7', place: '', cold: true }),
      tried(
        fc.record({
          kind: fc.constant('received'),
          partNumber: fc.constant('MS20470DD5-6'),
          lot: fc.constant('Q7'),
          cold: fc.constant(true),
          count: fc.integer({ min: 1, max: 90 })
        }),
        fc.record({
          kind: fc.constant('issued'),
          binId: fc.constant(idOf(700)),
          jobId: fc.constant(null),
          count: fc.integer({ min: 1, max: 40 })
        }),
        fc.record({
          kind: fc.constant('counted'),
          binId: fc.constant(idOf(700)),
          count: fc.integer({ min: 0, max: 60 })
        })
      )
    );
  });

  it('of what is put away of a batch', () => {
    inAnyOrder(
      coldStream,
      fc.constant({ count: 60, driven: 5 }),
      tried(
        fc.record({
          kind: fc.constant('left-over'),
          count: fc.integer({ min: 1, max: 9 }),
          how: fc.constantFrom('scrapped', 'to-process'),
          note: fc.constant('')
        })
      )
    );
  });

  it('of the trials of a cage', () => {
    inAnyOrder(
      cageStream,
      fc.constant(setupOf()),
      tried(
        fc.record({
          kind: fc.constant('reading'),
          clicks: fc.integer({ min: 0, max: 9 }),
          flushnessIn: fc.constantFrom(0.012, 0.006, 0.0015),
          from: fc.constantFrom('typed', 'simulated'),
          cameUp: fc.constant(false),
          ring: fc.constant(false)
        }),
        fc.record({ kind: fc.constant('struck'), reading: named, why: fc.constant('chips') }),
        fc.record({ kind: fc.constant('finished'), afterHoles: fc.constant(0) }),
        fc.record({
          kind: fc.constant('recheck'),
          afterHoles: fc.integer({ min: 0, max: 30 }),
          flushnessIn: fc.constantFrom(0.001, 0.006),
          from: fc.constant('typed')
        }),
        fc.record({ kind: fc.constant('withdrawn'), why: fc.constant('new cutter') })
      )
    );
  });

  it.each([
    ['squeezer', squeezerOf()],
    ['gun', gunOf()]
  ])('of the trials of a %s', (_, setup) => {
    inAnyOrder(
      toolStream,
      fc.constant(setup),
      tried(
        fc.record({ kind: fc.constant('trial'), trial }),
        fc.record({ kind: fc.constant('trial'), trial }),
        fc.record({ kind: fc.constant('struck'), trial: named, why: fc.constant('slipped') }),
        fc.record({ kind: fc.constant('kept') }),
        fc.record({
          kind: fc.constant('made'),
          made: fc.record({
            what: fc.constant('head'),
            diameterIn: fc.constant(0.234),
            heightIn: fc.constantFrom(0.08, 0.1),
            seconds: fc.constant(null)
          })
        })
      )
    );
  });

  it('of a signature, sent twice', () => {
    const subject = {
      practice: false,
      missing: { must: [], told: [] },
      drivers: new Set<string>(),
      signing: 'anyone' as const,
      lastAt: 0
    };
    const signed = happened(signStream, subject, [
      { kind: 'signed', person: idOf(901), entitled: 'stamp 12', accepted: [] },
      { kind: 'signed', person: idOf(902), entitled: 'stamp 13', accepted: [] }
    ]);
    expect(signed).toHaveLength(1);
    expect(signStream.project(subject, [...signed, ...signed])).toEqual(signed[0]);
  });
});
