import { describe, expect, it } from 'vitest';
import type { Cage } from './cage';
import { CageSetup, flushBand } from './setup';
import { mayBegin, setupChecks } from './setup-checks';
import { cageOf, setupOf } from '../../../../tests/support/cages';
import { checkInWords, inInches } from '../../../../tests/support/words';

const verdicts = (cage: Partial<Cage>, setup: Partial<CageSetup>) =>
  Object.fromEntries(
    setupChecks(cageOf(cage), setupOf(setup)).map(({ key, verdict }) => [key, verdict])
  );

describe('before the first trial hole', () => {
  it('nothing stands in the way of a cage that fits', () => {
    const checks = setupChecks(cageOf(), setupOf());
    expect(new Set(checks.map(({ verdict }) => verdict))).toEqual(new Set(['good']));
    expect(mayBegin(checks)).toBe(true);
  });

  it.each([
    // a #30 hole is 0.1285: 0.1290 does not go in, 0.1230 is 0.0055 loose
    [{ pilotIn: 0.129 }, {}, 'pilot'],
    [{ pilotIn: 0.123 }, {}, 'pilot'],
    [{ cutterDeg: 110 as const }, {}, 'angle'],
    // the head is 0.225 wide; nested under 0.032 it is 0.225 + 2·tan 50° × 0.009773 = 0.2483
    [{ cutterIn: 0.22 }, {}, 'width'],
    [{ cutterIn: 0.24 }, { skinIn: 0.032, sheetIn: 0.063, couponIn: 0.063 }, 'width'],
    [{}, { couponIn: 0.04 }, 'coupon'],
    [{}, { backingIn: 0.1 }, 'backing'],
    // a head 0.042 high in 0.036 stays 0.006 proud at least
    [{}, { sheetIn: 0.036, couponIn: 0.036 }, 'depth'],
    [{}, { filmIn: 0.0015 }, 'film'],
    [{}, { filmIn: 0.006, filmOn: { cut: true, read: true, work: true } }, 'film'],
    [{}, { filmIn: 0.0015, filmOn: { cut: false, read: true, work: false } }, 'film']
  ])('stops %j with %j', (cage, setup, key) => {
    expect(verdicts(cage, setup)).toMatchObject({ [key]: 'stop' });
    expect(mayBegin(setupChecks(cageOf(cage), setupOf(setup)))).toBe(false);
  });

  it.each([
    [{ pilotIn: 0.1285 }, {}, 'pilot'],
    [{ pilotIn: 0.1235 }, {}, 'pilot'],
    [{ cutterIn: 0.225 }, {}, 'width'],
    [{ cutterDeg: 110 as const }, { seat: 'dimpled-scrap' as const, skinIn: 0.02 }, 'angle'],
    [{}, { couponIn: 0.052 }, 'coupon'],
    [{}, { backingIn: 0.25 }, 'backing'],
    [{}, { sheetIn: 0.04, couponIn: 0.04, school: 'three-proud' as const }, 'depth'],
    [{}, { sheetIn: 0.041, couponIn: 0.041 }, 'depth']
  ])('lets %j with %j pass', (cage, setup, key) => {
    expect(verdicts(cage, setup)).toMatchObject({ [key]: 'good' });
  });

  it('says where one figure alone is left, and goes on', () => {
    // in 0.040 it is good at 0.002 only: no click is sure to hit that, a free cutter by hand may
    const checks = setupChecks(cageOf(), setupOf({ sheetIn: 0.04, couponIn: 0.04 }));
    const depth = checks.find(({ key }) => key === 'depth');
    expect(depth).toMatchObject({ verdict: 'attention' });
    expect(depth && checkInWords(depth, inInches).say).toBe(
      'flushness +0.002 in only: marginal, less than one click'
    );
    expect(mayBegin(checks)).toBe(true);
  });

  it('asks for the film to be peeled but goes on', () => {
    const checks = setupChecks(
      cageOf(),
      setupOf({ filmIn: 0.0015, filmOn: { cut: true, read: true, work: false } })
    );
    expect(checks.find(({ key }) => key === 'film')).toMatchObject({ verdict: 'attention' });
    expect(mayBegin(checks)).toBe(true);
  });

  it('says what would work', () => {
    const say = (cage: Partial<Cage>, key: string) =>
      setupChecks(cageOf(cage), setupOf())
        .filter((check) => check.key === key)
        .map((check) => checkInWords(check, inInches).say)[0];
    expect(say({ pilotIn: 0.1 }, 'pilot')).toMatch(
      /0\.0285 in clearance: too loose.*from 0\.1235 in/
    );
    expect(say({ pilotLengthIn: 0.9 }, 'backing')).toMatch(/Use 0\.9 in or more/);
  });
});

describe('between which readings a cut is good', () => {
  const band = (setup: Partial<CageSetup>) => {
    const read = flushBand(setupOf(setup));
    return read.ok ? read.result : read.error;
  };

  it.each([
    ['two-proud', 0, 0.002, 0.001],
    ['three-proud', 0, 0.003, 0.0015],
    ['aerodynamic', -0.002, 0.002, 0]
  ] as const)('%s, aiming at its middle', (school, lowIn, highIn, targetIn) => {
    expect(band({ school })).toMatchObject({ lowIn, highIn, targetIn, heldBySheet: false });
  });

  it('never so deep that the cut goes through its sheet', () => {
    // 0.042 − 0.041 = 0.001 proud at least; with 0.043 the school’s −0.002 becomes −0.001
    expect(band({ sheetIn: 0.041 })).toMatchObject({ lowIn: expect.closeTo(0.001) as number });
    expect(band({ sheetIn: 0.043, school: 'aerodynamic' })).toMatchObject({
      lowIn: expect.closeTo(-0.001) as number
    });
    // beneath a dimple of 0.032 the cut is 0.042 + 0.3054 × 0.032 = 0.0518 deep
    expect(band({ sheetIn: 0.051, skinIn: 0.032, seat: 'dimpled-scrap' })).toMatchObject({
      lowIn: expect.closeTo(0.042 + 0.30541 * 0.032 - 0.051, 5) as number
    });
    expect(band({ sheetIn: 0.0395 })).toMatchObject({ code: 'not-possible', path: 'sheetIn' });
  });

  it('refuses a target outside, with the nearest that works', () => {
    expect(band({ targetIn: 0.0025 })).toMatchObject({
      path: 'targetIn',
      said: { code: 'target-outside', nearestIn: 0.002 }
    });
    expect(band({ targetIn: 0.0005 })).toMatchObject({ targetIn: 0.0005 });
  });

  it('asks for the dimpled sheets where a dimpled scrap lies in the cut', () => {
    const read = CageSetup.safeParse(setupOf({ seat: 'dimpled-scrap' }));
    expect(read.error?.issues[0]).toMatchObject({ path: ['skinIn'] });
    expect(CageSetup.safeParse(setupOf({ seat: 'dimpled-scrap', skinIn: 0.02 })).success).toBe(
      true
    );
  });

  it('reads a setup as typed', () => {
    const read = CageSetup.safeParse({
      ...setupOf(),
      sheetIn: '.050',
      filmIn: '1.5 thou',
      backingIn: '3/4'
    });
    expect(read.data).toMatchObject({ sheetIn: 0.05, filmIn: 0.0015, backingIn: 0.75 });
  });
});
