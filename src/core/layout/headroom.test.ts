import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import type { Dash, Head } from '../schema/fields';
import { numberHoles } from './holes';
import { headroom } from './headroom';
import { rowLayout, type RowLayoutInput } from './row-layout';

const LAID: RowLayoutInput = {
  widthIn: 8,
  dash: 4,
  head: 'universal',
  required: 8,
  rows: 1,
  pattern: 'in-line',
  prefer: 'fewest',
  scale: 'exact'
};

function roomOf(change: Partial<RowLayoutInput>, sheetsIn = [0.063, 0.063]) {
  const input = { ...LAID, ...change };
  const layout = resultOf(rowLayout(input));
  return headroom({
    holes: numberHoles(layout),
    widthIn: input.widthIn,
    overlapIn: layout.overlapIn,
    dash: input.dash,
    head: input.head,
    sheetsIn
  });
}

describe('rework headroom', () => {
  it('is none where the edge distance is the usual one', () => {
    // 9/32 = 0.28125 is under 2 × 5/32 = 0.3125
    const room = roomOf({});
    expect(room).toHaveLength(8);
    expect(
      room.every(({ largestDash, limitedBy }) => largestDash === 4 && limitedBy === 'edge')
    ).toBe(true);
  });

  it('goes as far as the edge distance lets it', () => {
    // 0.375 = 2 × 3/16 takes dash 6; dash 8 would need 0.5
    expect(roomOf({ edgeIn: 0.375 }).map(({ largestDash }) => largestDash)).toEqual(
      Array(8).fill(6)
    );
  });

  it('is stopped by the pitch when the rivets stand close', () => {
    // span 7.25 over 16 spaces: 0.453 holds 3 × 4/32 but not 3 × 5/32 = 0.469
    expect(roomOf({ edgeIn: 0.375, required: 17 })[5]).toEqual({
      hole: 6,
      largestDash: 4,
      limitedBy: 'pitch'
    });
  });

  it('is stopped by the next row', () => {
    // pitch 7/12 = 0.583 holds 3 × 3/16; rows 0.75 × 0.583 → 7/16 hold 2.5 × 5/32, not 2.5 × 3/16 = 0.469
    const room = roomOf({ edgeIn: 0.5, required: 26, rows: 2 });
    expect(new Set(room.map(({ largestDash }) => largestDash))).toEqual(new Set([5]));
    expect(room[0]?.limitedBy).toBe('between-rows');
  });

  it('is stopped by a knife edge under a flush head', () => {
    // dash 5 flush head 0.055 goes into 0.063, dash 6 with 0.070 does not
    const room = roomOf({ head: 'countersunk', edgeIn: 0.5 });
    expect(room[0]).toMatchObject({ largestDash: 5, limitedBy: 'flush' });
    expect(roomOf({ head: 'countersunk', edgeIn: 0.5 }, [0.05, 0.05])[0]?.largestDash).toBe(4);
  });

  it('ends at the largest rivet there is', () => {
    expect(roomOf({ dash: 8, edgeIn: 0.6 })[0]).toMatchObject({
      largestDash: 8,
      limitedBy: 'no-larger-size'
    });
    expect(roomOf({ edgeIn: 0.5, required: 4 }, [0.125, 0.125])[1]).toMatchObject({
      largestDash: 8
    });
  });

  it('looks at every neighbour as trying all pairs does', () => {
    const input = {
      ...LAID,
      rows: 3 as const,
      pattern: 'staggered' as const,
      required: 30,
      edgeIn: 0.4
    };
    const layout = resultOf(rowLayout(input));
    const holes = numberHoles(layout);
    const room = headroom({
      holes,
      widthIn: 8,
      overlapIn: layout.overlapIn,
      dash: 4,
      head: 'universal',
      sheetsIn: [0.063, 0.063]
    });
    const fits = (number: number, dash: Dash, head: Head): boolean => {
      const D = dash / 32;
      const hole = holes.find((candidate) => candidate.number === number);
      if (!hole) return false;
      const edgeIn = Math.min(hole.xIn, 8 - hole.xIn, hole.yIn, layout.overlapIn - hole.yIn);
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
});
