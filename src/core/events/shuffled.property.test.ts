import fc from 'fast-check';
import { describe, it } from 'vitest';
import { happened, idOf } from '../../../tests/support/histories.ts';
import { holeStream } from '../inspect/hole-events.ts';
import { driveStream } from '../driving/drive-events.ts';
import { ReleasedFacts, type ReleasedHole } from '../release/release.ts';
import { reworkStream } from '../reworking/rework-events.ts';
import { type ReworkState } from '../reworking/rework-state.ts';
import { DEFAULT_PROFILE } from '../rules/profile.ts';

import { hole, inAnyOrder, tried } from '../../../tests/support/any-order.ts';

const BATCH = '6b1f6e0e-93ad-4d5a-9c3c-0a54c1f2a001';
const person = fc.constantFrom(idOf(901), idOf(902), idOf(903));

const releasedHole = (number: number): ReleasedHole => ({
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
const RELEASE = {
  facts: ReleasedFacts.parse({
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
  holes: [1, 2, 3].map(releasedHole),
  heldOpen: [
    {
      ...releasedHole(4),
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
  reworkStream.project(RELEASE, happened(reworkStream, RELEASE, tries))
);
const onRelease = rework.map((state) => ({ ...RELEASE, rework: state }));

describe('any order of arrival, any repeat', () => {
  it('of driving', () => {
    inAnyOrder(
      driveStream,
      onRelease,
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
      onRelease,
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
    inAnyOrder(reworkStream, fc.constant(RELEASE), reworkTries);
  });
});
