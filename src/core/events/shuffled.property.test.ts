import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arrivals, happened, idOf, type Tries } from '../../../tests/support/histories.ts';
import { setupOf } from '../../../tests/support/cages.ts';
import { gunOf, squeezerOf } from '../../../tests/support/tool-setups.ts';
import { holeStream } from '../check/hole-events.ts';
import { coldStream } from '../driving/cold-events.ts';
import { driveStream } from '../driving/drive-events.ts';
import { IssuedFacts, type IssuedHole } from '../issue/issue.ts';
import { cageStream } from '../ready/cage/setting.ts';
import { stepStream } from '../ready/progress.ts';
import { reworkStream } from '../reworking/rework-events.ts';
import { type ReworkState } from '../reworking/rework-state.ts';
import { DEFAULT_PROFILE } from '../rules/profile.ts';
import { signStream } from '../signing/sign-events.ts';
import { stockStream } from '../stock/stock.ts';
import { toolStream } from '../tool-setting/tool-stream.ts';
import type { Recorded, Stamped, Stream } from './stream.ts';

/*
 * Devices are away, send late, send twice: whatever order entries come in, the state is the one that the order in which
 * things happened gives. Seeds are fixed here; `./zanjador fuzz` takes fresh ones.
 */
const SEED = Number(process.env['PROPERTY_SEED'] ?? 20_261);
const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 150);

function inAnyOrder<Subject, Move extends Stamped, Frozen, State>(
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

const hole = fc.integer({ min: 1, max: 3 });
const tried = (...kinds: fc.Arbitrary<object>[]): fc.Arbitrary<Tries> =>
  fc.array(fc.oneof(...kinds), { minLength: 1, maxLength: 24, size: 'max' });
const BATCH = '6b1f6e0e-93ad-4d5a-9c3c-0a54c1f2a001';
const person = fc.constantFrom(idOf(901), idOf(902), idOf(903));

const issuedHole = (number: number): IssuedHole => ({
  number,
  row: 1,
  xIn: number,
  yIn: 0.5,
  markIn: number,
  stack: 0,
  dash: 5,
  gripIn: 0.113,
  room: { edgeIn: 0.5, pitchIn: 1, betweenRowsIn: null, sheetsIn: [0.05, 0.063] }
});
const ISSUE = {
  facts: IssuedFacts.parse({
    dash: 5,
    head: 'universal',
    partNumber: 'MS20470DD5-6',
    gripIn: 0.113,
    lengthIn: 0.375,
    holeIn: 0.159,
    widthIn: 7,
    overlapIn: 1,
    limits: 'standard',
    predictedIn3: null,
    rules: DEFAULT_PROFILE
  }),
  holes: [1, 2, 3].map(issuedHole),
  heldOpen: [
    {
      ...issuedHole(4),
      reason: 'latch pin',
      blind: { fastener: 'pulled', drillIn: 0.16, grip: { leastIn: 0, mostIn: 0.2, over: false } }
    }
  ],
  batches: [
    {
      id: BATCH,
      partNumber: 'MS20470DD5-6',
      lot: 'Q7',
      count: 20,
      removedAt: '2031-05-02T07:55:00Z',
      times: null
    },
    // of the next size, for holes that were widened
    {
      id: idOf(800),
      partNumber: 'MS20470DD6-6.5',
      lot: 'R2',
      count: 20,
      removedAt: '2031-05-02T07:55:00Z',
      times: null
    }
  ]
};

const reworkTries = tried(
  fc.record({
    kind: fc.constant('out'),
    hole,
    school: fc.constant('under-shank'),
    how: fc.constantFrom('plain', 'swelled')
  }),
  fc.record({ kind: fc.constant('still-in'), hole }),
  fc.record({
    kind: fc.constant('measured'),
    hole,
    widestIn: fc.constantFrom(0.159, 0.161, 0.17, 0.19),
    seen: fc.constantFrom([], ['dented'])
  }),
  fc.record({
    kind: fc.constant('voided'),
    hole,
    reading: fc.integer({ min: 0, max: 23 }).map(idOf),
    why: fc.constant('read across the burr')
  }),
  fc.record({
    kind: fc.constant('step'),
    hole,
    step: fc.constantFrom('drilled', 'deburred'),
    done: fc.boolean()
  }),
  fc.record({ kind: fc.constant('blind-in'), hole: fc.constant(4) }),
  fc.record({ kind: fc.constant('blind-out'), hole: fc.constant(4), why: fc.constant('turns') }),
  fc.record({
    kind: fc.constant('blind-looked'),
    hole: fc.constant(4),
    found: fc.constantFrom([], ['ring'])
  }),
  fc.record({ kind: fc.constant('referred'), hole: fc.option(hole), question: fc.constant('?') }),
  fc.record({
    kind: fc.constant('answered'),
    referral: fc.integer({ min: 0, max: 23 }).map(idOf),
    answer: fc.constant('so be it'),
    answeredBy: fc.constant('the data holder'),
    authority: fc.constant('letter 7'),
    then: fc.constantFrom({ what: 'nothing' }, { what: 'leave' })
  })
);
const rework = reworkTries.map((tries): ReworkState =>
  reworkStream.project(ISSUE, happened(reworkStream, ISSUE, tries))
);
const onIssue = rework.map((state) => ({ ...ISSUE, rework: state }));

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

describe('any order of arrival, any repeat', () => {
  it('of driving', () => {
    inAnyOrder(
      driveStream,
      onIssue,
      tried(
        fc.record({
          kind: fc.constant('driven'),
          hole,
          quick: fc.constantFrom(null, 'good', 'more'),
          batch: fc.constantFrom(BATCH, BATCH, idOf(800)),
          hands: fc.option(fc.record({ gun: person, bar: person })),
          person,
          late: fc.constantFrom('', 'lead agreed')
        }),
        fc.record({ kind: fc.constant('undriven'), hole }),
        fc.record({ kind: fc.constant('looked'), hole, quick: fc.constantFrom('good', 'again') }),
        fc.record({
          kind: fc.constant('seen'),
          hole,
          diameterIn: fc.constantFrom(0.2, 0.23, 0.26),
          plusMinusIn: fc.constant(0.004),
          camera: fc.constant('rod'),
          simulated: fc.boolean()
        }),
        fc.record({
          kind: fc.constant('ordered'),
          school: fc.constantFrom('flat', 'sequence'),
          order: fc.constantFrom(null, [3, 1, 2], [2, 1, 3])
        })
      )
    );
  });

  it('of looks at heads', () => {
    inAnyOrder(
      holeStream,
      onIssue,
      tried(
        fc.record({
          kind: fc.constant('checked'),
          hole,
          diameterIn: fc.constantFrom(0.2, 0.235, 0.28),
          heightIn: fc.constantFrom(0.05, 0.08, 0.11),
          flags: fc.constantFrom([], ['smile'])
        })
      )
    );
  });

  it('of rework', () => {
    inAnyOrder(reworkStream, fc.constant(ISSUE), reworkTries);
  });

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
