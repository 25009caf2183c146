import { describe, expect, it } from 'vitest';
import { verdictGlyph, type MarkKind } from '../../ui/marks/verdict-glyphs.ts';
import { planMarks } from '../plan/plan-glyphs.ts';
import type { HoleMark } from '../plan/hole-marks.ts';
import { driveGlyph, type DriveAbout } from './drive-glyphs.ts';
import { besidePicked, nearestMark, numberAt } from './map-mark.ts';

const marks = [
  { number: 1, x: 10, y: 20 },
  { number: 2, x: 50, y: 20 },
  { number: 3, x: 50, y: 40 }
];

describe('the hole that a tap means', () => {
  it('is the nearest within a finger’s reach', () => {
    expect(nearestMark(marks, 12, 23)).toBe(1);
    // between two, 1 px nearer to the third
    expect(nearestMark(marks, 50, 31)).toBe(3);
    expect(nearestMark(marks, 50, 29)).toBe(2);
  });

  it('is none where no hole lies within 22 px', () => {
    expect(nearestMark(marks, 10, 20 - 21.9)).toBe(1);
    expect(nearestMark(marks, 10, 20 - 22.1)).toBeNull();
    expect(nearestMark([], 10, 20)).toBeNull();
  });

  it('stands among seven, in their middle where it can', () => {
    const order = [5, 3, 1, 2, 4, 6, 8, 7, 9];
    expect(besidePicked(order, 4)).toEqual([3, 1, 2, 4, 6, 8, 7]);
    expect(besidePicked(order, 5)).toEqual([5, 3, 1, 2, 4, 6, 8]);
    expect(besidePicked(order, 9)).toEqual([1, 2, 4, 6, 8, 7, 9]);
    expect(besidePicked(order, null)).toEqual([5, 3, 1, 2, 4, 6, 8]);
    expect(besidePicked([2, 1], 1)).toEqual([2, 1]);
  });

  it('has its number beside it where there is room', () => {
    expect(numberAt('above', 4)).toEqual({ dx: 0, dy: -12, anchor: 'middle' });
    expect(numberAt('below', 4)).toEqual({ dx: 0, dy: 21, anchor: 'middle' });
    expect(numberAt('left', 4)).toEqual({ dx: -10, dy: 4.5, anchor: 'end' });
  });
});

describe('marks', () => {
  const KINDS: MarkKind[] = [
    'accept',
    'not-complete',
    'on-condition',
    'drive-more',
    'replace',
    'refer',
    'measure',
    'out',
    'left',
    'to-do',
    'sending'
  ];
  const shape = (glyph: readonly { d: string; dash?: string }[]) =>
    glyph.map(({ d, dash = '' }) => d + dash).join();

  it('of verdicts are told apart by their shape alone', () => {
    expect(new Set(KINDS.map((kind) => shape(verdictGlyph(kind, 10)))).size).toBe(KINDS.length);
    expect(verdictGlyph('replace', 10)[0]).toEqual({
      d: 'M-10 -10H10V10H-10Z',
      fill: 'brick-soft',
      line: 'brick-line',
      width: 10 / 6
    });
  });

  it('of a rivet being driven say what stands about it by shapes of their own', () => {
    const plain = { reached: null, holder: false, touched: false, crowded: false };
    const about: Partial<DriveAbout>[] = [
      {},
      { reached: true },
      { reached: false },
      { holder: true },
      { touched: true },
      { crowded: true },
      { holder: true, touched: true, crowded: true }
    ];
    const drawn = about.map((one) => shape(driveGlyph('open', 8, { ...plain, ...one })));
    expect(new Set(drawn).size).toBe(about.length);
    const kinds = (['next', 'open', 'in', 'more', 'look'] as const).map((kind) =>
      shape(driveGlyph(kind, 8, plain))
    );
    expect(new Set(kinds).size).toBe(5);
  });

  it('of a plan lie where their holes do, and carry what is wrong of them', () => {
    const hole: HoleMark = {
      number: 7,
      xIn: 2,
      yIn: 0.5,
      kind: 'rivet',
      failing: false,
      letter: null,
      room: 0
    };
    const place = { x: (at: number) => 10 + 40 * at, y: (at: number) => 20 + 40 * at };
    const of = (change: Partial<HoleMark>, picked = 0) =>
      planMarks([{ ...hole, ...change }], place, 6, picked)[0];
    expect(of({})).toMatchObject({ number: 7, x: 90, y: 40, data: { 'data-kind': 'rivet' } });
    const shapes = [
      of({}),
      of({ kind: 'held-open' }),
      of({ kind: 'existing' }),
      of({ kind: 'pinned' }),
      of({ kind: 'reworked' }),
      of({ failing: true }),
      of({ letter: '5', room: 1 }),
      of({}, 7)
    ].map((mark) => shape(mark?.glyph ?? []));
    expect(new Set(shapes).size).toBe(shapes.length);
    expect(of({ kind: 'held-open' })?.word).toBe('open');
    expect(of({ failing: true })?.glyph.at(-1)).toEqual({
      d: 'M-12 -12H12V12H-12Z',
      line: 'brick',
      width: 2
    });
  });
});
