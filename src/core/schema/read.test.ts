import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { problemsOf, readInput } from './read';
import { lengthIn, slippedThicknessIn, thicknessIn } from './fields';
import { refusal } from '../../../tests/support/words';

const Sample = z.strictObject({
  school: z.enum(['close', 'loose']),
  holes: z.int().min(1).max(10),
  insert: z.boolean().default(true),
  widthIn: lengthIn('the width', { above: 0, most: 100 })
});
const GOOD = { school: 'close', holes: 3, widthIn: '1 1/2' };

const complaint = (change: object) => {
  const read = readInput(Sample, { ...GOOD, ...change });
  return read.ok ? null : `${read.error.path}: ${refusal(read.error)}`;
};

describe('reading input', () => {
  it('fills in defaults and turns texts into inches', () => {
    expect(readInput(Sample, GOOD)).toEqual({
      ok: true,
      value: { school: 'close', holes: 3, insert: true, widthIn: 1.5 }
    });
  });

  it.each([
    [{ school: 'tight' }, 'school: one of close, loose is expected; "tight" was given'],
    [{ school: undefined }, 'school: school is missing'],
    [{ holes: 'three' }, 'holes: a number is expected; "three" was given'],
    [{ holes: 2.5 }, 'holes: a whole number is expected; 2.5 was given'],
    [{ holes: 0 }, 'holes: at least 1 is expected; 0 was given'],
    [{ holes: 11 }, 'holes: at most 10 is allowed; 11 was given'],
    [{ insert: 'yes' }, 'insert: true or false is expected; "yes" was given'],
    [{ widthIn: -1 }, 'widthIn: the width must be over 0 in; -1 in was given'],
    [{ widthIn: '200' }, 'widthIn: the width must be at most 100 in; 200 in was given'],
    [{ widthIn: undefined }, 'widthIn: widthIn is missing'],
    [{ colour: 'red' }, 'colour: "colour" is not an input here']
  ])('says of %j what a mechanic understands', (change, wanted) => {
    expect(complaint(change)).toBe(wanted);
  });

  it('lists every complaint, in order', () => {
    const parsed = Sample.safeParse({ ...GOOD, school: 1, holes: 0 }, { reportInput: true });
    expect(parsed.success ? [] : problemsOf(parsed.error).map(({ path }) => path)).toEqual([
      'school',
      'holes'
    ]);
  });

  it('stops at ten complaints: nobody mends more at once', () => {
    const Many = z.array(z.number());
    const parsed = Many.safeParse(Array.from({ length: 3000 }, () => 'x'));
    expect(parsed.success ? null : problemsOf(parsed.error)).toHaveLength(10);
  });

  it('takes no object at all with a reason', () => {
    expect(readInput(Sample, 7)).toMatchObject({
      ok: false,
      error: {
        said: { code: 'told', text: 'an object with named fields is expected; 7 was given' }
      }
    });
  });
});

describe('a slipped decimal point', () => {
  it.each([
    [0.32, 0.032],
    [0.0032, 0.032],
    [32, 0.032],
    [0.63, 0.063],
    [5000, null]
  ])('in %d was probably %s', (typed, meant) => {
    expect(slippedThicknessIn(typed)).toBe(meant);
  });

  it('is asked about at both ends of the range, limits included', () => {
    for (const [thick, ok] of [
      [0.01, true],
      [0.25, true],
      [0.0099, false],
      [0.2501, false]
    ] as const)
      expect(thicknessIn.safeParse(thick).success, String(thick)).toBe(ok);
  });
});
