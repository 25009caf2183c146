import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { oversize, type OversizeInput } from './oversize';
import { removal } from './removal';

describe('taking a rivet out', () => {
  holdsWorkedCases('removal');

  it('keeps the drill under the shank', () => {
    expect(
      [3, 4, 5, 6, 8].map(
        (dash) => resultOf(removal({ dash: dash as 3, school: 'under-shank' })).drill
      )
    ).toEqual(['#42', '#31', '#23', '#13', 'D']);
  });
});

describe('a hole that has grown', () => {
  holdsWorkedCases('oversize');

  const ASKED: OversizeInput = {
    dash: 4,
    head: 'universal',
    holeIn: 0.14,
    edgeIn: 0.32,
    pitchesIn: [0.5, 0.47],
    sheetsIn: [0.04, 0.04],
    increments: 'half',
    school: 'close'
  };
  const decide = (change: Partial<OversizeInput>) => resultOf(oversize({ ...ASKED, ...change }));

  it('keeps its size up to 0.003 over the final drill', () => {
    expect(decide({ holeIn: 0.1315 }).decision).toBe('keep');
    expect(decide({ holeIn: 0.1316 }).decision).toBe('next-size');
  });

  it('names everything that stands against the next size, in order', () => {
    expect(decide({ holeIn: 0.17, edgeIn: 0.3, pitchesIn: [0.4] }).fails).toEqual([
      'hole',
      'edge',
      'pitch'
    ]);
    // dash 5 flush head 0.055 in a 0.040 sheet would go through
    expect(decide({ head: 'countersunk', edgeIn: 0.4 })).toMatchObject({
      decision: 'refer',
      dash: 4,
      fails: ['flush']
    });
    expect(decide({ sheetsIn: Array.from({ length: 8 }, () => 0.25) }).fails).toEqual(['length']);
  });

  it('enlarges no dimple in place, however much room there is', () => {
    const flush: Partial<OversizeInput> = { head: 'countersunk', edgeIn: 0.6, pitchesIn: [] };
    // each dimpled; dimpled together; dimpled over a sheet that is cut
    for (const sheetsIn of [
      [0.025, 0.032],
      [0.016, 0.02],
      [0.025, 0.08]
    ])
      expect(decide({ ...flush, dash: 3, holeIn: 0.106, sheetsIn })).toMatchObject({
        decision: 'refer',
        dash: 3,
        partNumber: null,
        fails: ['flush']
      });
    expect(decide({ ...flush, dash: 3, holeIn: 0.106, sheetsIn: [0.063, 0.032] }).dash).toBe(4);
    // a hole that keeps its size keeps its dimple
    expect(decide({ ...flush, dash: 3, holeIn: 0.101, sheetsIn: [0.025, 0.032] }).decision).toBe(
      'keep'
    );
    // a protruding head has none
    expect(decide({ dash: 3, holeIn: 0.106, sheetsIn: [0.025, 0.032] }).dash).toBe(4);
  });

  it('has nowhere to go from dash 8', () => {
    expect(decide({ dash: 8, holeIn: 0.27 })).toEqual({
      decision: 'refer',
      dash: 8,
      partNumber: null,
      fails: ['no-larger-size']
    });
  });

  it('goes by the loose drills when asked', () => {
    // loose #10 is 0.1935: a dash 5 hole of 0.193 still goes to dash 6, which the close #11 does not allow
    const grown = { dash: 5, holeIn: 0.193, edgeIn: 0.5, pitchesIn: [] } as const;
    expect(decide({ ...grown, pitchesIn: [], school: 'loose' }).decision).toBe('next-size');
    expect(decide({ ...grown, pitchesIn: [], school: 'close' }).fails).toEqual(['hole']);
  });
});
