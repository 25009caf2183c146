import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { markWork, numberHoles } from './holes';
import { rowLayout } from './row-layout';

const layout = resultOf(
  rowLayout({
    widthIn: 10.75,
    dash: 4,
    head: 'universal',
    required: 49,
    rows: 2,
    pattern: 'staggered',
    prefer: 'fewest',
    scale: '1/64'
  })
);
const holes = numberHoles(layout);
const workOf = (number: number) => {
  const hole = holes.find((candidate) => candidate.number === number);
  if (!hole) throw new Error(`no hole ${number}`);
  return markWork(hole, layout, '1/64');
};

describe('the arithmetic of a mark', () => {
  it('counts from the datum edge in pitches', () => {
    // 25 in the first row: pitch 10.1875 / 24 = 0.424479
    expect(workOf(4)[0]).toEqual({
      label: 'hole 4 from the datum edge',
      formula: 'first of row 1 + spaces × pitch = 0.28125 + 3 × 0.424479',
      value: expect.closeTo(1.5546875, 12) as number,
      unit: 'in'
    });
  });

  it('starts a staggered row half a pitch in', () => {
    // 0.28125 + 0.424479 / 2 = 0.49349
    expect(workOf(26)[0]?.formula).toContain('= 0.49349 + 0 × 0.424479');
    expect(workOf(28)[0]?.formula).toContain('+ 2 × ');
  });

  it('ends with what the ruler takes or adds', () => {
    expect(
      workOf(4)
        .slice(1)
        .map(({ value }) => value)
    ).toEqual([100 / 64, expect.closeTo(1 / 128, 12)]);
  });
});
