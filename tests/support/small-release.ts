import { ReleasedFacts, type Release, type ReleasedHole } from '../../src/core/release/release.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';

const ROW = 6;
const hole = (number: number): ReleasedHole => ({
  number,
  row: number <= ROW ? 1 : 2,
  xIn: number <= ROW ? number : number - ROW,
  yIn: number <= ROW ? 0.5 : 1.25,
  markIn: number <= ROW ? number : number - ROW,
  stack: 0,
  dash: 5,
  gripIn: 0.113,
  room: { edgeIn: 0.5, pitchIn: 1, betweenRowsIn: 0.75, sheetsIn: [0.05, 0.063] }
});

/** A release of twelve rivets of dash 5 in two rows, 1 to 6 and 7 to 12, and hole 13 that is held open. */
export const smallRelease = (partNumber = 'MS20470AD5-6'): Release => ({
  id: '6b1f6e0e-93ad-4d5a-9c3c-0a54c1f2aaaa',
  number: 1,
  revision: 1,
  issuedAt: '2031-05-02T07:00:00Z',
  issuedBy: 'Ilse',
  facts: ReleasedFacts.parse({
    dash: 5,
    head: 'universal',
    partNumber,
    gripIn: 0.113,
    lengthIn: 0.375,
    holeIn: 0.159,
    widthIn: 7,
    overlapIn: 1.75,
    limits: 'standard',
    predictedIn3: null,
    rules: DEFAULT_PROFILE
  }),
  holes: Array.from({ length: 2 * ROW }, (_, at) => hole(at + 1)),
  heldOpen: [{ ...hole(13), reason: 'latch' }]
});
