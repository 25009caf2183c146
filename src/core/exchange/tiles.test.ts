import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { tile } from './tiles';
import { refusal } from '../../../tests/support/words';

describe('a pattern over sheets of paper', () => {
  it('takes one sheet where it fits, turned if that helps', () => {
    expect(resultOf(tile({ xIn: 0, yIn: 0, wIn: 7, hIn: 9 }, 'letter')).tiles).toHaveLength(1);
    // 10 × 6.5 fits a Letter sheet lying down: 10.2 wide, 6.95 high
    const lying = resultOf(tile({ xIn: 0, yIn: 0, wIn: 10, hIn: 6.5 }, 'letter'));
    expect([lying.pageWIn, lying.tiles.length]).toEqual([11, 1]);
  });

  it.each([
    [30, 4, 'a4'],
    [5.5, 61.3, 'letter'],
    [44.1, 37.2, 'a4']
  ] as const)('shows every point of %s × %s in on some sheet, seams on two', (wIn, hIn, paper) => {
    const { tiles, areaWIn, areaHIn, marginIn, overlapIn, columns, rows, joins } = resultOf(
      tile({ xIn: -1, yIn: 2, wIn, hIn }, paper)
    );
    const shows = (x: number, y: number) =>
      tiles.filter(
        (one) =>
          x >= one.xIn - 1e-9 &&
          x <= one.xIn + areaWIn + 1e-9 &&
          y >= one.yIn - 1e-9 &&
          y <= one.yIn + areaHIn + 1e-9
      ).length;
    for (let x = 0; x <= 40; x++)
      for (let y = 0; y <= 40; y++)
        expect(shows(-1 + (x / 40) * wIn, 2 + (y / 40) * hIn)).toBeGreaterThanOrEqual(1);
    expect(overlapIn).toBeGreaterThanOrEqual(0.5);
    // two a seam between neighbours; each in both margins, in the middle of what both sheets show
    expect(joins).toHaveLength(2 * ((columns - 1) * rows + columns * (rows - 1)));
    for (const { xIn, yIn, tiles: pair } of joins) {
      const on = pair.map((piece) => {
        const one = tiles[piece] ?? { xIn: NaN, yIn: NaN };
        return { x: xIn - one.xIn, y: yIn - one.yIn };
      });
      for (const { x, y } of on) {
        const beside = [x, areaWIn - x, y, areaHIn - y].filter((inside) => inside < 0);
        expect(beside).toHaveLength(1);
        // off what is drawn, and where printers still print
        expect(beside[0]).toBeLessThan(-0.1);
        expect(beside[0]).toBeGreaterThan(-(marginIn - 0.25));
      }
      const [a = { x: NaN, y: NaN }, b = { x: NaN, y: NaN }] = on;
      const across = a.x - b.x > 1 ? areaWIn - a.x : areaHIn - a.y;
      expect(across).toBeCloseTo(overlapIn / 2, 9);
      expect(a.x - b.x > 1 ? b.x : b.y).toBeCloseTo(overlapIn / 2, 9);
    }
  });

  it('stands several lengths of a long strip on a sheet, clear of each other and of the foot', () => {
    const strip = resultOf(tile({ xIn: 0, yIn: 0, wIn: 160, hIn: 2.4 }, 'a4'));
    // upright: 7.27 wide, 9.69 high: (9.69 + 0.8) / 3.2 = 3 lengths of 24 a sheet, 8 sheets; turned: 2 of 16, 8 sheets, fewer seams
    expect(strip).toMatchObject({ perPage: 2, columns: 16, rows: 1, pages: 8, areaHIn: 2.4 });
    expect(strip.tiles).toHaveLength(16);
    for (const [at, { page, downIn }] of strip.tiles.entries()) {
      expect(page).toBe(Math.floor(at / 2));
      expect(downIn).toBeCloseTo(at % 2 === 0 ? 0 : 3.2, 9);
      expect(strip.marginIn + downIn + strip.areaHIn).toBeLessThanOrEqual(
        strip.pageHIn - strip.marginIn - strip.footIn
      );
    }
    // a narrow one: upright 7.5 × 9, (9 + 0.8) / 1.9 = 5 lengths of 13 a sheet; turned 3 of 10 would take four sheets
    const narrow = resultOf(tile({ xIn: 0, yIn: 0, wIn: 90, hIn: 1.1 }, 'letter'));
    expect([narrow.perPage, narrow.pages]).toEqual([5, 3]);
  });

  it('refuses what would paper the hangar', () => {
    const refused = tile({ xIn: 0, yIn: 0, wIn: 300, hIn: 300 }, 'a4');
    expect(refused.ok ? '' : refusal(refused.error)).toMatch(/sheets of A4; up to 120/);
  });
});
