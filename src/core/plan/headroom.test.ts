import { describe, expect, it } from 'vitest';
import { definition, layoutOf, planned } from '../../../tests/support/joints';
import type { EnteredOf } from '../kinds/joint';
import type { Dash, Head } from '../schema/fields';

/** An 8 in lap with so many rivets, by its own data. */
function lapOf(
  required: number,
  change: Partial<EnteredOf<'lap'>> = {},
  thick = ['0.063', '0.063']
) {
  return definition('lap', thick, {
    widthIn: '8',
    dash: 4,
    rows: 1,
    scale: 'exact',
    perInch: String(required / 8),
    perInchReason: 'made up for the test',
    ...change
  });
}
const roomOf = (required: number, change: Partial<EnteredOf<'lap'>> = {}, thick?: string[]) =>
  planned(lapOf(required, change, thick)).headroom;

describe('rework headroom', () => {
  it('is none where the edge distance is the usual one', () => {
    // 9/32 = 0.28125 is under 2 × 5/32 = 0.3125
    const room = roomOf(8);
    expect(room).toHaveLength(8);
    expect(
      room.every(({ largestDash, limitedBy }) => largestDash === 4 && limitedBy === 'edge')
    ).toBe(true);
  });

  it('goes as far as the edge distance lets it', () => {
    // 0.375 = 2 × 3/16 takes dash 6; dash 8 would need 0.5
    expect(roomOf(8, { edgeIn: '0.375' }).map(({ largestDash }) => largestDash)).toEqual(
      Array(8).fill(6)
    );
  });

  it('is stopped by the pitch when the rivets stand close', () => {
    // span 7.25 over 16 spaces: 0.453 holds 3 × 4/32 but not 3 × 5/32 = 0.469
    expect(roomOf(17, { edgeIn: '0.375' })[5]).toMatchObject({
      hole: 6,
      largestDash: 4,
      limitedBy: 'pitch',
      edgeShortIn: null
    });
  });

  it('says how much edge distance the next size would ask for', () => {
    // 2 × 5/32 is 0.3125; the row lies 9/32 from its edge
    const [first] = roomOf(8, { edgeIn: '9/32' });
    expect(first).toMatchObject({ largestDash: 4, limitedBy: 'edge' });
    expect(first?.edgeShortIn).toBeCloseTo(0.03125, 12);
    // with 17 in the row the pitch stops it too: more edge distance alone would not do
    expect(roomOf(17, { edgeIn: '9/32' })[5]).toMatchObject({
      limitedBy: 'edge',
      edgeShortIn: null
    });
    // nor under a flush head that would go through
    expect(
      roomOf(8, { head: 'countersunk', edgeIn: '11/32' }, ['0.05', '0.05'])[0]?.edgeShortIn
    ).toBeNull();
  });

  it('is stopped by the next row', () => {
    // pitch 7/12 = 0.583 holds 3 × 3/16; rows 0.75 × 0.583 → 7/16 hold 2.5 × 5/32, not 2.5 × 3/16 = 0.469
    const room = roomOf(26, { edgeIn: '0.5', rows: 2 });
    expect(new Set(room.map(({ largestDash }) => largestDash))).toEqual(new Set([5]));
    expect(room[0]?.limitedBy).toBe('between-rows');
  });

  it('is stopped by a knife edge under a flush head', () => {
    // dash 5 flush head 0.055 goes into 0.063, dash 6 with 0.070 does not
    const room = roomOf(8, { head: 'countersunk', edgeIn: '0.5' });
    expect(room[0]).toMatchObject({ largestDash: 5, limitedBy: 'flush' });
    expect(
      roomOf(8, { head: 'countersunk', edgeIn: '0.5' }, ['0.05', '0.05'])[0]?.largestDash
    ).toBe(4);
  });

  it('is none where the hole is dimpled: a dimple cannot be enlarged in place', () => {
    const room = roomOf(8, { head: 'countersunk', edgeIn: '0.5', dash: 3 }, ['0.025', '0.032']);
    expect(room[0]).toMatchObject({ largestDash: 3, limitedBy: 'flush' });
  });

  it('ends at the largest rivet there is', () => {
    expect(roomOf(8, { dash: 8, edgeIn: '0.6' })[0]).toMatchObject({
      largestDash: 8,
      limitedBy: 'no-larger-size'
    });
    expect(roomOf(4, { edgeIn: '0.5' }, ['0.125', '0.125'])[1]).toMatchObject({
      largestDash: 8
    });
  });

  it('looks at every neighbour as trying all pairs does', () => {
    const joint = lapOf(30, { rows: 3, pattern: 'staggered', edgeIn: '0.4' });
    const { holes, heightIn } = layoutOf(joint);
    const room = planned(joint).headroom;
    const fits = (number: number, dash: Dash, head: Head): boolean => {
      const D = dash / 32;
      const hole = holes.find((candidate) => candidate.number === number);
      if (!hole) return false;
      const edgeIn = Math.min(hole.xIn, 8 - hole.xIn, hole.yIn, heightIn - hole.yIn);
      return (
        edgeIn >= (head === 'universal' ? 2 : 2.5) * D - 1e-9 &&
        holes.every((other) => {
          if (other.number === number || Math.abs(other.row - hole.row) > 1) return true;
          const apartIn = Math.hypot(other.xIn - hole.xIn, other.yIn - hole.yIn);
          return apartIn >= (other.row === hole.row ? 3 : 2.5) * D - 1e-9;
        })
      );
    };
    for (const { hole, largestDash } of room) {
      const sizes = ([5, 6, 8] as const).filter((dash) => fits(hole, dash, 'universal'));
      expect(largestDash, `hole ${hole}`).toBe(sizes.at(-1) ?? 4);
    }
  });

  it('of a hole by an insert’s rounded corner is held against the curve', () => {
    const insertRoom = (cornerRadiusIn: string) => {
      const plan = planned(
        definition('patch', ['0.063', '0.071'], {
          carries: 'attach',
          dash: 3,
          edgeIn: '5/16',
          cornerRadiusIn,
          cutoutWIn: '6',
          cutoutHIn: '4',
          scale: 'exact'
        })
      );
      if (!plan.layout.ok) throw new Error(JSON.stringify(plan.layout.error));
      const line = plan.layout.result.lines.find(({ key }) => key.startsWith('insert'));
      const corner = line?.holes[0];
      return plan.headroom.find(({ hole }) => hole === corner);
    };
    const sharp = insertRoom('0.25');
    const round = insertRoom('0.75');
    expect(sharp?.limitedBy).toBe('edge');
    expect(round?.limitedBy).toBe('edge');
    // 5/16 from both straight edges; the curve of 3/4 in leaves 3/4 − √2 × (3/4 − 5/16) = 0.13 in
    expect(sharp?.largestDash).toBeGreaterThan(round?.largestDash ?? 9);
  });
});
