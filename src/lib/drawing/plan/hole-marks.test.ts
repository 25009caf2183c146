import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../../tests/support/joints';
import { holeMarks, numbered } from './hole-marks';

const plan = planned(
  definition('lap', ['0.040', '0.040'], {
    widthIn: '6',
    dash: 4,
    rows: 1,
    perInch: '2.1',
    perInchReason: 'test',
    fixed: [{ id: 'fixed-1', kind: 'pinned', line: 'row-1', name: '', atIn: '2.1', offIn: '' }],
    edits: [
      {
        id: 'edit-2',
        line: 'row-1',
        index: 1,
        of: 13,
        state: 'held-open',
        nudgeIn: '',
        reason: 'latch',
        drill: '',
        asRivets: false
      }
    ]
  })
);
const marks = holeMarks(plan.holes, new Map([['fixed-1', 'pinned']]), new Set([3]), plan.headroom);

describe('how holes are drawn', () => {
  it('tells what each one is', () => {
    expect(marks[1]).toMatchObject({ kind: 'held-open' });
    expect(marks.find(({ kind }) => kind === 'pinned')?.xIn).toBe(2.1);
    expect(marks[2]?.failing).toBe(true);
    expect(marks.filter(({ kind }) => kind === 'rivet')).toHaveLength(11);
  });

  it('letters each with the size that could still go there', () => {
    expect(marks[0]).toMatchObject({ letter: '4', room: 0 });
    expect(holeMarks(plan.holes, new Map(), new Set(), null)[0]?.letter).toBeNull();
  });
});

describe('which holes carry their number', () => {
  const row = (count: number, yIn = 0, from = 1) => ({
    line: { holes: Array.from({ length: count }, (_, index) => from + index) },
    marks: Array.from({ length: count }, (_, index) => ({
      ...(marks[0] as (typeof marks)[number]),
      number: from + index,
      xIn: index,
      yIn
    }))
  });

  it('is all of them where there is room', () => {
    const { line, marks: own } = row(10);
    expect(numbered([line], own, 40, 4).size).toBe(10);
  });

  it('is the ends and as many between as can be read', () => {
    const { line, marks: own } = row(100);
    const shown = numbered([line], own, 8, 2);
    expect(shown.has(1) && shown.has(100)).toBe(true);
    expect(shown.size).toBeLessThan(100);
    // no two on one side nearer than a number is wide
    for (const side of ['above', 'below'])
      [...shown]
        .filter(([, place]) => place === side)
        .map(([number]) => number)
        .sort((a, b) => a - b)
        .forEach((number, index, all) => {
          if (index > 0) expect((number - (all[index - 1] ?? 0)) * 8).toBeGreaterThanOrEqual(12);
        });
  });

  it('goes below where a row stands above', () => {
    const [upper, lower] = [row(3), row(3, 0.4, 4)];
    const shown = numbered([upper.line, lower.line], [...upper.marks, ...lower.marks], 40, 4);
    expect(shown.get(1)).toBe('above');
    expect(shown.get(4)).toBe('below');
  });
});
