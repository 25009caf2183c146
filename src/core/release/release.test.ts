import { describe, expect, it } from 'vitest';
import { ReleasedFacts, predictedHeadIn3, type ReleasedHole } from './release.ts';

const hole: ReleasedHole = {
  number: 1,
  row: 1,
  xIn: 0,
  yIn: 0,
  markIn: 0,
  stack: 0,
  dash: 4,
  gripIn: 0.061,
  room: null
};
const facts = (stack: Record<string, unknown>) =>
  ReleasedFacts.parse({
    dash: 4,
    head: 'countersunk',
    partNumber: 'MS20426AD4-4.5',
    gripIn: 0.061,
    lengthIn: 0.28125,
    holeIn: 0.1285,
    widthIn: 6,
    overlapIn: 1,
    limits: 'standard',
    predictedIn3: 0.5,
    stacks: [
      {
        name: 'the lap',
        dash: 4,
        partNumber: 'MS20426AD4-4.5',
        lengthIn: 0.28125,
        holeIn: 0.1285,
        ...stack
      }
    ]
  });
/** Of the shank what stands past the grip, less what fills the hole round it beneath the flush head, 0.042 high. */
const beyond = (gripIn: number) =>
  (Math.PI / 4) * (0.125 ** 2 * (0.28125 - gripIn) - (0.1285 ** 2 - 0.125 ** 2) * (gripIn - 0.042));

describe('the head that a release predicts', () => {
  it('is made of what stands past the sheets', () => {
    expect(predictedHeadIn3(facts({ dimpledThrough: false }), hole)).toBeCloseTo(beyond(0.061), 9);
  });

  it('of a dimpled stack is made of what stands past the dimple', () => {
    // the flush head of dash 4 is 0.042 high
    expect(predictedHeadIn3(facts({ dimpledThrough: true }), hole)).toBeCloseTo(beyond(0.103), 9);
  });

  it('of a release made while the school decided it, past what was reckoned then', () => {
    expect(predictedHeadIn3(facts({ raisedIn: 0.042 }), hole)).toBeCloseTo(beyond(0.103), 9);
    expect(predictedHeadIn3(facts({}), hole)).toBeCloseTo(beyond(0.061), 9);
  });

  it('of a release of one stack is the one it was frozen with', () => {
    expect(predictedHeadIn3({ ...facts({}), stacks: [] }, hole)).toBe(0.5);
  });
});
