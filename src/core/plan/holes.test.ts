import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints';
import { markWork } from './holes';
import { formula } from '../../../tests/support/words';

// 49 rivets in two staggered rows: 25 and 24
const layout = layoutOf(
  definition('lap', ['0.040', '0.040'], {
    widthIn: '10.75',
    dash: 4,
    rows: 2,
    pattern: 'staggered',
    scale: '1/64',
    edgeIn: '9/32',
    perInch: '4.5',
    perInchReason: 'made up for the test'
  })
);
const workOf = (number: number) => {
  const hole = layout.holes.find((candidate) => candidate.number === number);
  const line = hole && layout.lines[hole.row - 1];
  if (!hole || !line) throw new Error(`no hole ${number}`);
  return markWork(hole, line, '1/64');
};

describe('the arithmetic of a mark', () => {
  it('counts along the line in pitches', () => {
    // 25 in the first row: pitch 10.1875 / 24 = 0.424479
    expect(formula(workOf(4)[0])).toBe('first hole + spaces × pitch = 0.28125 + 3 × 0.424479');
    expect(workOf(4)[0]).toMatchObject({
      label: 'hole 4 along the line',
      value: expect.closeTo(1.5546875, 12) as number,
      unit: 'in'
    });
  });

  it('starts a staggered row half a pitch in', () => {
    // 0.28125 + 0.424479 / 2 = 0.49349
    expect(formula(workOf(26)[0])).toContain('= 0.49349 + 0 × 0.424479');
    expect(formula(workOf(28)[0])).toContain('+ 2 × ');
  });

  it('ends with what the ruler takes or adds', () => {
    expect(
      workOf(4)
        .slice(2)
        .map(({ value }) => value)
    ).toEqual([100 / 64, expect.closeTo(1 / 128, 12)]);
  });
});
