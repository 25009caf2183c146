import { describe, expect, it } from 'vitest';
import { problemsOf } from '../schema/read';
import { refusal, reportInWords } from '../../../tests/support/words';
import { HeadReading, headReport, headVolumeIn3, rowMeaning } from './head-report';

const reading = (diameterIn: unknown, heightIn: unknown) =>
  HeadReading.safeParse({ dash: 4, limits: 'standard', diameterIn, heightIn, flags: [] });

function report(diameterIn: number, heightIn: number, predictedIn3: number | null, row: number[]) {
  const read = reading(diameterIn, heightIn);
  if (!read.success) throw read.error;
  return headReport(read.data, predictedIn3, row);
}

describe('the report on a head', () => {
  it('gives the reasons in the limits’ own words', () => {
    const { reasons, doNow } = reportInWords(report(0.161, 0.092, null, []));
    expect(reasons).toEqual([
      '1.29 D wide, 1.30 D is the least',
      '0.74 D high, 0.65 D is the most',
      'under-driven: stopped early, or low air'
    ]);
    expect(doNow).toEqual(['Drive more: one short burst, then measure again.']);
  });

  it('accounts for the metal', () => {
    const nominalIn3 = headVolumeIn3(0.1875, 0.0625);
    expect(report(0.1875, 0.0625, nominalIn3, []).metal).toMatchObject({
      meaning: 'ordinary',
      shareOfRow: null
    });
    expect(report(0.1875, 0.0625, nominalIn3 / 0.74, []).metal?.meaning).toBe('lost');
    expect(report(0.1875, 0.0625, nominalIn3 / 1.21, []).metal?.meaning).toBe('longer');
    expect(report(0.1875, 0.0625, null, []).metal).toBeNull();
  });

  it('compares with the rest of the row', () => {
    const one = headVolumeIn3(0.1875, 0.0625);
    expect(report(0.1875, 0.0625, one, [0.5, 1.5]).metal?.shareOfRow).toBeCloseTo(1, 12);
    expect(report(0.1875, 0.0625, one, [2]).metal?.shareOfRow).toBeCloseTo(0.5, 12);
  });

  it('is about the row first: a head is called out when it departs from its row', () => {
    const one = headVolumeIn3(0.1875, 0.0625);
    const at = (share: number, row: number[]) =>
      report(0.1875, 0.0625, one / share, row).metal?.meaning;
    const short = [0.62, 0.6, 0.64];
    expect(at(0.61, short)).toBe('row-lost');
    expect(at(0.44, short)).toBe('lost');
    // all there, in a row where the others are short: this one had a longer rivet
    expect(at(1, short)).toBe('longer');
    expect(at(1.3, [1.28, 1.31, 1.3])).toBe('row-longer');
    // two heads are no row yet
    expect(at(0.61, [0.6, 0.6])).toBe('lost');
    expect(at(0.6, [1, 0.98, 1.02])).toBe('lost');
    expect(rowMeaning(short)).toMatchObject({ meaning: 'row-lost' });
    expect(rowMeaning([1, 0.9, 1.1])).toMatchObject({ meaning: 'ordinary' });
    expect(rowMeaning([0.6, 0.6])).toBeNull();
  });

  it.each([
    ['1.87', '0.0625', 'diameterIn', /14\.96 D wide.*decimal point slip/],
    ['0.0187', '0.0625', 'diameterIn', /decimal point slip/],
    ['0.187', '0.625', 'heightIn', /5 D high.*decimal point slip/],
    ['0.187', 'x', 'heightIn', /not a length/]
  ])('asks about %s × %s', (diameter, height, path, message) => {
    const read = reading(diameter, height);
    const problems = read.success ? [] : problemsOf(read.error);
    expect(problems[0]?.path).toBe(path);
    expect(problems[0] && refusal(problems[0])).toMatch(message);
  });
});
