import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints.ts';

/** A patch whose corner holes belong to its top or bottom line, and to a side. */
const patch = (edits: readonly object[]) =>
  definition('patch', ['0.032', '0.040'], {
    ...{ carries: 'attach' as const, dash: 4 as const, scale: 'exact' as const },
    ...{ cutoutWIn: '6', cutoutHIn: '5' },
    edits: edits.map((edit, at) => ({
      ...{ id: `edit-${at}`, nudgeIn: '', reason: '', drill: '', asRivets: false },
      ...edit
    })) as never
  });
const plain = layoutOf(patch([]));
const line = (end: string) => {
  const found = plain.lines.find(({ key }) => key === `skin-${end}`);
  if (!found) throw new Error(end);
  return found;
};
const corner = line('top').holes[0] ?? 0;
/** The corner as each of its lines names it. */
const byTop = { line: 'skin-top', index: 0, of: line('top').laidCount };
const bySide = { line: 'skin-left', index: 0, of: line('left').laidCount };

describe('a hole of two lines', () => {
  it('is one, whichever of them a change names', () => {
    expect(line('left').holes[0]).toBe(corner);
    for (const named of [byTop, bySide]) {
      const { holes, adrift } = layoutOf(
        patch([{ ...named, state: 'held-open', reason: 'for a bolt' }])
      );
      expect(adrift).toEqual([]);
      expect(holes.filter(({ state }) => state === 'held-open')).toMatchObject([
        { number: corner, reason: 'for a bolt' }
      ]);
    }
  });

  it('is taken out by either, and put back by the one that took it out', () => {
    const { holes, removed, adrift } = layoutOf(patch([{ ...bySide, state: 'removed' }]));
    expect(holes).toHaveLength(plain.holes.length - 1);
    expect(removed).toMatchObject([bySide]);
    expect(adrift).toEqual([]);
  });

  it('is said where its lines say different things, or it was moved along the one that does not lay it', () => {
    const both = layoutOf(
      patch([
        { ...bySide, state: 'removed' },
        { ...byTop, state: 'held-open', reason: 'for a bolt' }
      ])
    );
    expect(both.adrift).toEqual([
      {
        what: 'edit',
        id: 'edit-0',
        said: { what: 'crossing', state: 'removed', hole: 1, line: line('left').name }
      }
    ]);
    expect(both.holes.find(({ number }) => number === corner)?.state).toBe('held-open');
    const moved = layoutOf(patch([{ ...bySide, state: 'as-laid', nudgeIn: '1/16' }]));
    expect(moved.adrift).toMatchObject([{ id: 'edit-0', said: { what: 'crossing' } }]);
    const own = layoutOf(patch([{ ...byTop, state: 'as-laid', nudgeIn: '1/16' }]));
    expect(own.adrift).toEqual([]);
  });
});
