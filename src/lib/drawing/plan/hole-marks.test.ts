import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../../tests/support/joints';
import { straight } from '../../../core/layout/lines.ts';
import { numberAt } from '../marks/map-mark';
import { holeMarks, numbered } from './hole-marks';

const plan = planned(
  definition('lap', ['0.040', '0.040'], {
    widthIn: '6',
    dash: 4,
    rows: 1,
    perInch: '2.1',
    perInchReason: 'test',
    fixed: [
      {
        id: 'fixed-1',
        kind: 'pinned',
        line: 'row-1',
        name: '',
        atIn: '2.1',
        offIn: '',
        state: '',
        holeIn: ''
      }
    ],
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
        asRivets: false,
        blind: '',
        blindLeastIn: '',
        blindMostIn: ''
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
  const row = (count: number, y = 0, from = 1) => ({
    line: {
      holes: Array.from({ length: count }, (_, index) => from + index),
      path: straight(0, y, count)
    },
    at: (apartPx: number, yPx = 0) =>
      Array.from(
        { length: count },
        (_, index) => [from + index, { x: index * apartPx, y: yPx }] as const
      )
  });

  it('is all of them where there is room', () => {
    const { line, at } = row(10);
    expect(numbered([line], new Map(at(40)), 4).size).toBe(10);
  });

  it('is the ends and every tenth where they lie closer', () => {
    const { line, at } = row(100);
    expect([...numbered([line], new Map(at(4)), 2).keys()].sort((a, b) => a - b)).toEqual([
      1, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100
    ]);
  });

  it('goes below where a row stands above', () => {
    const [upper, lower] = [row(3), row(3, 0.4, 4)];
    const shown = numbered(
      [upper.line, lower.line],
      new Map([...upper.at(40), ...lower.at(40, 16)]),
      4
    );
    expect(shown.get(1)).toBe('above');
    expect(shown.get(4)).toBe('below');
  });

  it('goes beside where the line runs down the page', () => {
    const line = { holes: [1, 2, 3, 4], path: straight(0, 0, 4, [0, 1]) };
    const shown = numbered(
      [line],
      new Map(line.holes.map((number) => [number, { x: 0, y: 18 * number }])),
      4
    );
    expect(shown).toEqual(
      new Map([
        [1, 'above'],
        [4, 'below'],
        [2, 'right'],
        [3, 'right']
      ])
    );
    expect(numberAt('right', 4)).toEqual({ dx: 10, dy: 4.5, anchor: 'start' });
  });
});
