import { describe, expect, it } from 'vitest';
import { orientationMarks } from './orientation';

describe('marks on parts', () => {
  it('meet stroke on stroke', () => {
    const marks = orientationMarks(
      'Lap',
      ['skin', 'doubler', 'strip'].map((name, at) => ({ name, layer: at + 1 }))
    );
    expect(
      marks.map(({ part, of, strokesAbove, strokesBelow }) => [
        part,
        of,
        strokesAbove,
        strokesBelow
      ])
    ).toEqual([
      [1, 3, 0, 1],
      [2, 3, 1, 2],
      [3, 3, 2, 0]
    ]);
    for (const [at, mark] of marks.slice(1).entries())
      expect(mark.strokesAbove).toBe(marks[at]?.strokesBelow);
  });

  it('are on an insert as on the skin that it lies in', () => {
    const marks = orientationMarks('Patch', [
      { name: 'skin', layer: 1 },
      { name: 'insert', layer: 1 },
      { name: 'doubler', layer: 2 }
    ]);
    expect(
      marks.map(({ face, strokesAbove, strokesBelow }) => [face, strokesAbove, strokesBelow])
    ).toEqual([
      ['outside, under the manufactured heads', 0, 1],
      ['outside, under the manufactured heads', 0, 1],
      ['inside, against parts 1 and 2', 1, 0]
    ]);
  });
});
