import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatLength } from './format-length';
import { parseLength } from './parse-length';

describe('reading a length', () => {
  it.each([
    ['3/32', 0.09375],
    ['.094', 0.094],
    ['1 1/8', 1.125],
    ['1-1/8', 1.125],
    // a no-break hyphen, as it is copied off a page
    ['1\u20111/8', 1.125],
    ['-2-3/16 in', -2.1875],
    ['2.4mm', 2.4 / 25.4],
    ['2.4 mm', 2.4 / 25.4],
    ['1 cm', 1 / 2.54],
    ['32 thou', 0.032],
    ['32thou', 0.032],
    ['11 1/2"', 11.5],
    ['  7  in ', 7],
    ['5.', 5],
    ['1 3 / 4', 1.75],
    ['-0.002', -0.002],
    ['- 1 1/4 in', -1.25],
    ['3/8 mm', 0.375 / 25.4],
    ['2 IN', 2]
  ])('%s', (text, wantedIn) => {
    const read = parseLength(text);
    expect(read).toMatchObject({ ok: true });
    expect(read.ok ? read.valueIn : NaN).toBeCloseTo(wantedIn, 12);
  });

  it.each([
    ['', /missing/],
    ['   ', /missing/],
    ['1/0', /divides by zero/],
    ['2,4', /point for the decimal/],
    ['1e3', /not a length/],
    ['1 1', /not a length/],
    ['3/4/5', /not a length/],
    ['four', /not a length/],
    ['1 ft', /not a length/],
    ['1.5/2', /not a length/],
    ['9'.repeat(41), /at most 40/]
  ])('refuses "%s" in plain words', (text, why) => {
    const read = parseLength(text);
    expect(read.ok ? 'taken' : read.message).toMatch(why);
  });

  it('reads back every 64th it writes, exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 64 * 1200 }), (sixtyFourths) => {
        const lengthIn = sixtyFourths / 64;
        const read = parseLength(formatLength(lengthIn, '1/64').figure);
        expect(read).toEqual({ ok: true, valueIn: lengthIn });
      })
    );
  });

  it('reads millimetres back to 1e-9 in', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3_000_000 }), (hundredths) => {
        const mm = hundredths / 100;
        const read = parseLength(`${mm} mm`);
        expect(read.ok ? Math.abs(read.valueIn * 25.4 - mm) : NaN).toBeLessThan(1e-9);
      })
    );
  });
});
