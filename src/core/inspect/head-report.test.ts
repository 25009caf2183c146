import { describe, expect, it } from 'vitest';
import { problemsOf } from '../schema/read';
import type { HeadSeat } from '../release/flush-at';
import { findingNote, inInches, refusal, reportInWords } from '../../../tests/support/words';
import { HeadReading, headReport, headVolumeIn3, readingRefused, rowMeaning } from './head-report';

const reading = (diameterIn: unknown, heightIn: unknown) =>
  HeadReading.safeParse({ dash: 4, limits: 'standard', diameterIn, heightIn, flags: [] });

function report(diameterIn: number, heightIn: number, predictedIn3: number | null, row: number[]) {
  const read = reading(diameterIn, heightIn);
  if (!read.success) throw read.error;
  return headReport(read.data, predictedIn3, row);
}

describe('what is done now', () => {
  it('is never a good head’s word where its verdict is another, finding or none', () => {
    const now = (verdict: 'accept' | 'replace' | 'refer') =>
      reportInWords({ reasons: [], findings: [] }, inInches, verdict).doNow;
    expect(now('accept')[0]).toContain('Good head');
    // its batch had expired: its figures find nothing
    expect(now('replace')).toEqual(['Replace the rivet.']);
    expect(now('refer')).toEqual(['Refer to engineering.']);
  });
});

describe('what is said of flushness', () => {
  const notes = (seat: HeadSeat | null) =>
    (['not-flush-high', 'not-flush-low'] as const).map((finding) => findingNote(finding, seat));

  it('names the countersink of a countersunk head only, and the dimple of a dimpled one', () => {
    const said = (seat: HeadSeat | null) =>
      notes(seat).map(({ cause, remedy }) => `${cause}: ${remedy}`);
    for (const line of said('dimpled')) expect(line).not.toContain('countersink');
    expect(said('dimpled')).toEqual([
      'dimple not formed, head not seated, a gap, or the wrong dies: replace; check dimple, gap and dies first',
      'dimple over-formed or stretched: it cannot be undone: refer to engineering'
    ]);
    expect(said('countersunk')[0]).toContain('countersink too shallow');
    expect(said(null)[0]).toBe(
      'countersink too shallow, or dimple not formed: replace; check countersink or dimple first'
    );
  });
});

describe('the report on a head', () => {
  it('gives the reasons in the limits’ own words', () => {
    const { reasons, doNow } = reportInWords(report(0.161, 0.092, null, []), inInches);
    expect(reasons).toEqual([
      '0.161 in wide (1.29 D), minimum 0.1625 in (1.30 D)',
      '0.092 in high (0.74 D), maximum 0.08125 in (0.65 D)',
      'under-driven: stopped early, or low air'
    ]);
    expect(doNow).toEqual(['Drive further: one short burst, then measure again.']);
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
    ['1.87', '0.0625', 'diameterIn', /14\.96 D wide.*decimal point/],
    ['0.0187', '0.0625', 'diameterIn', /decimal point/],
    ['0.187', '0.625', 'heightIn', /5 D high.*decimal point/],
    ['0.187', 'x', 'heightIn', /not a length/]
  ])('asks about %s × %s', (diameter, height, path, message) => {
    const read = reading(diameter, height);
    const problems = read.success ? [] : problemsOf(read.error);
    expect(problems[0]?.path).toBe(path);
    expect(problems[0] && refusal(problems[0])).toMatch(message);
  });
});

describe('where a limit itself lies', () => {
  const one = headVolumeIn3(0.1875, 0.0625);
  const meaningAt = (predictedIn3: number, row: number[] = []) =>
    report(0.1875, 0.0625, predictedIn3, row).metal?.meaning;

  it('is ordinary at 75 % and at 120 %', () => {
    // as near as a double comes from within
    expect(meaningAt(one / 0.7500001)).toBe('ordinary');
    expect(meaningAt(one / 0.7499999)).toBe('lost');
    expect(meaningAt(one / 1.1999999)).toBe('ordinary');
    expect(meaningAt(one / 1.2000001)).toBe('longer');
    // three quarters to the last bit
    expect(rowMeaning([0.75, 0.75, 0.75])?.meaning).toBe('ordinary');
    expect(rowMeaning([1.2, 1.2, 1.2])?.share).toBeCloseTo(1.2, 12);
  });

  it('holds a head against an ordinary row by the prediction, not by the row', () => {
    // the row is at 118 %, this one at 80 %: ordinary, though a third under its row
    expect(meaningAt(one / 0.8, [1.18, 1.18, 1.18])).toBe('ordinary');
  });

  it('asks about a head under and over what can be believed, with both ends in inches', () => {
    const problem = (diameterIn: number, heightIn: number) => {
      const read = reading(diameterIn, heightIn);
      return read.success ? null : problemsOf(read.error)[0];
    };
    // 0.9 to 3 diameters wide, a tenth to two and a half high, of 1/8 in
    expect(problem(0.1124, 0.0625)).toMatchObject({
      path: 'diameterIn',
      said: { leastIn: 0.1125, mostIn: 0.375 }
    });
    expect(problem(0.1125, 0.0625)).toBeNull();
    expect(problem(0.375, 0.0625)).toBeNull();
    expect(problem(0.3751, 0.0625)).not.toBeNull();
    expect(problem(0.19, 0.0124)).toMatchObject({
      path: 'heightIn',
      said: { code: 'slipped-head', leastIn: 0.0125, mostIn: 0.3125 }
    });
    expect(problem(0.19, 0.0125)).toBeNull();
    expect(problem(0.19, 0.3125)).toBeNull();
    expect(problem(0.19, 0.3126)).not.toBeNull();
    expect(problem(0, 0.06)).not.toBeNull();
    expect(problem(0.19, -0.06)).not.toBeNull();
  });

  it('gives no finding and no reason where a reading cannot be judged', () => {
    const work = report(0.1875, 0.0625, one, []).metal?.work ?? [];
    // 100 %
    expect(work.map(({ value }) => value)).toEqual([one, one, 100]);
  });
});

describe('one reading by itself', () => {
  const said = (key: 'diameterIn' | 'heightIn', typed: string) => {
    const refused = readingRefused(key, typed, 4);
    return refused === null ? null : refusal({ said: refused });
  };
  it.each([
    ['diameterIn', '0.190', null],
    ['diameterIn', '4.8 mm', null],
    ['heightIn', '.062', null],
    // digits of two readings in one field
    ['diameterIn', '0.190.062', /0\.190\.062/],
    // 0.062 is a height: half a diameter wide is no head
    ['diameterIn', '0.062', /wide/],
    ['heightIn', '0.5', /high/]
  ] as const)('%s %s', (key, typed, message) => {
    if (message === null) expect(said(key, typed)).toBeNull();
    else expect(said(key, typed)).toMatch(message);
  });
});
