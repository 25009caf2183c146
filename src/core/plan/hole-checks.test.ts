import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints.ts';

/** Dash 6 over the first 10 in, dash 5 from there; the hole after the change moved so many inches on. */
const twoSizes = (nudgeIn: string) => {
  const change = {
    carries: 'attach' as const,
    dash: 5 as const,
    lines: 1 as const,
    lengthIn: '24',
    flangeIn: '1 1/2',
    flangeEndIn: '1 1/2',
    scale: 'exact' as const,
    zones: [{ id: 'z', dash: 6 as const, toIn: '10' }]
  };
  const thick = ['0.063', '0.090'];
  const plain = layoutOf(definition('tapered', thick, change));
  const second = plain.lines[1];
  const of = second?.laidCount ?? 0;
  const layout = layoutOf(
    definition('tapered', thick, {
      ...change,
      edits: [
        {
          id: 'e',
          line: second?.key ?? '',
          index: 1,
          of,
          state: 'as-laid',
          nudgeIn,
          reason: '',
          drill: '',
          asRivets: false,
          blind: '',
          blindLeastIn: '',
          blindMostIn: ''
        }
      ]
    })
  );
  const [first, after] = layout.lines[1]?.holes ?? [];
  const at = (number = 0) => layout.holes.find((hole) => hole.number === number);
  return {
    gapIn: (at(after)?.xIn ?? NaN) - (at(first)?.xIn ?? NaN),
    sizes: [at(first)?.dash, at(after)?.dash],
    pitchMax: layout.checks.find(({ rule }) => rule === 'pitch-max'),
    after
  };
};

describe('limits between two rivets', () => {
  it('of two sizes: the smaller asks for the largest pitch', () => {
    const even = twoSizes('');
    expect(even.sizes).toEqual([6, 5]);
    expect(even.pitchMax?.ok).toBe(true);
    // to 2.05: over 12 × 5/32 = 1.875, under 12 × 3/16 = 2.25
    const wide = twoSizes(String(2.05 - even.gapIn));
    expect(wide.gapIn).toBeCloseTo(2.05, 9);
    expect(wide.pitchMax).toMatchObject({ ok: false, limitIn: 1.875, holes: [wide.after] });
  });
});
