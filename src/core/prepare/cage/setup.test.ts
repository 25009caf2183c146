import { describe, expect, it } from 'vitest';
import { setupOf } from '../../../../tests/support/cages';
import { problemsOf } from '../../schema/read';
import { arithmetic } from '../../../../tests/support/words';
import { CageSetup, cutDepthIn, filmOf, filmUnsaid, flushBand } from './setup';

const bandOf = (change: Parameters<typeof setupOf>[0]) => flushBand(setupOf(change));

describe('film on a setting', () => {
  const filmOn = { cut: true, read: false, work: true };
  it('is unsaid only where there was film and nobody told when', () => {
    expect(filmUnsaid({ filmIn: 0, filmOn: null })).toBe(false);
    expect(filmUnsaid({ filmIn: 0.002, filmOn: null })).toBe(true);
    expect(filmUnsaid({ filmIn: 0.002, filmOn })).toBe(false);
  });

  it('is handed to the calculation as it was told', () => {
    expect(filmOf({ filmIn: 0.002, filmOn })).toEqual({
      filmIn: 0.002,
      filmCut: true,
      filmRead: false,
      filmWork: true
    });
    expect(filmOf({ filmIn: 0.002, filmOn: null })).toEqual({
      filmIn: 0.002,
      filmCut: undefined,
      filmRead: undefined,
      filmWork: undefined
    });
  });
});

describe('how deep a cut goes', () => {
  it('is the head, and the nest only where a dimple lies in it', () => {
    // 0.042, and 0.305407 × 0.032 more
    expect(cutDepthIn({ dash: 4, seat: 'rivet', skinIn: 0.032 })).toBe(0.042);
    expect(cutDepthIn({ dash: 4, seat: 'dimpled-scrap', skinIn: 0.032 })).toBeCloseTo(0.051773, 6);
  });
});

describe('between which readings a cut is good', () => {
  it('is the school’s limits in a sheet thick enough, and their middle is aimed at', () => {
    expect(bandOf({})).toMatchObject({
      ok: true,
      result: { lowIn: 0, highIn: 0.002, targetIn: 0.001 }
    });
    expect(bandOf({ school: 'aerodynamic' })).toMatchObject({
      result: { lowIn: -0.002, highIn: 0.002, targetIn: 0 }
    });
    expect(bandOf({ targetIn: 0.0015 })).toMatchObject({ result: { targetIn: 0.0015 } });
    const { work } = bandOf({ school: 'three-proud' }) as { work: { value: unknown }[] };
    expect(work.map(({ value }) => value)).toEqual([0, 0.003, 0.0015]);
    const middle = bandOf({ sheetIn: 0.041 });
    expect(middle.ok && arithmetic(middle.work)).toEqual([
      'low limit: knife edge: depth when flush − sheet = 0.042 − 0.041 = 0.001 in',
      'high limit: shop practice = 0.002 in',
      'target: (0.001 + 0.002) / 2 = 0.0015 in'
    ]);
    const typed = bandOf({ targetIn: -0.001, school: 'aerodynamic' });
    expect(typed.ok && arithmetic(typed.work)).toEqual([
      'low limit: shop practice = -0.002 in',
      'high limit: shop practice = 0.002 in',
      'target: as typed = -0.001 in'
    ]);
  });

  it('never goes through the sheet', () => {
    // the head of dash 4 is 0.042 high: in 0.041 it must stay 0.001 proud
    expect(bandOf({ sheetIn: 0.041, school: 'three-proud' })).toMatchObject({
      ok: true,
      result: { lowIn: expect.closeTo(0.001, 12) as number, highIn: 0.003 }
    });
    // 0.0395 in: 0.0025 proud at least, over the 0.002 of the school
    expect(bandOf({ sheetIn: 0.0395 })).toMatchObject({
      ok: false,
      error: {
        path: 'sheetIn',
        said: { code: 'cut-through', dash: 4, deepIn: 0.042, sheetIn: 0.0395, highIn: 0.002 }
      }
    });
  });

  it('says where less than a click is left, down to the one figure that keeps the sheet whole', () => {
    // from 0.0015 to 0.002 is half a click
    expect(bandOf({ sheetIn: 0.0405 })).toMatchObject({
      ok: true,
      result: {
        lowIn: expect.closeTo(0.0015, 12) as number,
        targetIn: expect.closeTo(0.00175, 12) as number,
        marginal: true,
        heldBySheet: true
      }
    });
    // the limits meet: never lower than the high limit, and the cut as deep as the sheet is thick
    expect(bandOf({ sheetIn: 0.04 })).toMatchObject({
      ok: true,
      result: { lowIn: 0.002, highIn: 0.002, targetIn: 0.002, deepestIn: 0.04, marginal: true }
    });
    // exactly one click is one
    expect(bandOf({ sheetIn: 0.041 })).toMatchObject({ ok: true, result: { marginal: false } });
  });

  it('holds a target against it, and says the nearest that holds', () => {
    expect(bandOf({ targetIn: 0.0025 })).toMatchObject({
      error: { path: 'targetIn', said: { code: 'target-outside', nearestIn: 0.002, lowIn: 0 } }
    });
    expect(bandOf({ targetIn: -0.0005 })).toMatchObject({ error: { said: { nearestIn: 0 } } });
    expect(bandOf({ targetIn: 0 })).toMatchObject({ ok: true });
    expect(bandOf({ targetIn: 0.002 })).toMatchObject({ ok: true });
  });

  it('leaves a cut that gets its nest later to the nest', () => {
    // a rivet in the cut, dimpled sheets above: thinner than the head is no matter here
    expect(bandOf({ sheetIn: 0.03, skinIn: 0.02 })).toMatchObject({
      ok: true,
      result: { lowIn: 0 }
    });
    // a dimpled scrap in it: 0.042 + 0.3054 × 0.032 = 0.0518, over 0.050
    expect(cutDepthIn(setupOf({ seat: 'dimpled-scrap', skinIn: 0.032 }))).toBeCloseTo(0.05177, 4);
    expect(bandOf({ seat: 'dimpled-scrap', skinIn: 0.032, sheetIn: 0.0512 })).toMatchObject({
      ok: true,
      result: { lowIn: expect.closeTo(0.000573, 5) as number }
    });
    expect(bandOf({ seat: 'dimpled-scrap', skinIn: 0.032, sheetIn: 0.049 })).toMatchObject({
      ok: false,
      error: { said: { code: 'cut-through' } }
    });
  });
});

describe('a setup as typed', () => {
  const problems = (change: object) => {
    const read = CageSetup.safeParse({ ...setupOf(), ...change });
    return read.success ? [] : problemsOf(read.error).map(({ path }) => path);
  };

  it('is read with its lengths in any unit', () => {
    expect(CageSetup.parse({ ...setupOf(), sheetIn: '1.27 mm', material: ' clad ' })).toMatchObject(
      { sheetIn: 0.05, material: 'clad', thickMeant: false }
    );
  });

  it('asks about a thick sheet and a thick coupon until they are meant', () => {
    expect(problems({ sheetIn: '0.5', couponIn: '1/2' })).toEqual(['sheetIn', 'couponIn']);
    expect(problems({ sheetIn: '0.5', couponIn: '1/2', thickMeant: true })).toEqual([]);
  });

  it('needs the dimpled sheets above a dimpled scrap, and only there', () => {
    expect(problems({ seat: 'dimpled-scrap' })).toEqual(['skinIn']);
    expect(problems({ seat: 'dimpled-scrap', skinIn: '0.032' })).toEqual([]);
    expect(problems({ skinIn: null })).toEqual([]);
  });

  it.each([
    [{ holeIn: '0.07' }, 'holeIn'],
    [{ holeIn: '0.6' }, 'holeIn'],
    [{ backingIn: '13' }, 'backingIn'],
    [{ filmIn: '0.2' }, 'filmIn'],
    [{ targetIn: '1' }, 'targetIn'],
    [{ targetIn: '-1' }, 'targetIn'],
    [{ filmOn: { cut: true, read: true } }, 'filmOn.work']
  ])('refuses %j', (change, path) => {
    expect(problems(change)).toContain(path);
  });
});
