import { describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE } from '../rules/profile';
import { resultOf } from '../../../tests/support/cases';
import { HoleLook, judgeLook } from './hole-look';

const FLUSH = { limits: 'standard', head: 'countersunk', rules: DEFAULT_PROFILE } as const;
const ROUND = { ...FLUSH, head: 'universal' } as const;
const HOLE = { dash: 4, number: 7, room: null } as const;
const among = (...sheetsIn: number[]) => ({
  ...HOLE,
  room: { edgeIn: 0.5, pitchIn: 1, betweenRowsIn: null, sheetsIn }
});
const stamp = { id: '00000000-0000-4000-8000-000000000001', at: '2031-05-02T08:00:00Z', hole: 7 };
const look = (rest: object): HoleLook => HoleLook.parse({ ...stamp, flags: [], ...rest });
const good = { kind: 'checked', diameterIn: 0.19, heightIn: 0.062 };
const judged = (rest: object, facts: typeof FLUSH | typeof ROUND = FLUSH) =>
  resultOf(judgeLook(look(rest), facts, HOLE));

describe('a look at a head', () => {
  it('is judged by its figures, its findings and how flush it stands; the gravest counts', () => {
    expect(judged(good).verdict).toBe('accept');
    expect(judged({ ...good, flags: ['smile'] })).toMatchObject({
      verdict: 'replace',
      findings: ['smile']
    });
    expect(judged({ ...good, flush: { by: 'number', offIn: -0.001 } })).toMatchObject({
      verdict: 'refer',
      findings: ['not-flush-low']
    });
    expect(judged({ ...good, flush: { by: 'slip', slipIn: 0.003, catches: false } })).toMatchObject(
      {
        verdict: 'measure',
        cannotTell: ['not-flush-high', 'not-flush-low']
      }
    );
  });

  it('is taken again where its uncertainty straddles a limit, however good its middle looks', () => {
    const near = {
      ...good,
      diameterIn: 0.165,
      how: 'mirror',
      plusMinus: { diameterIn: 0.01, heightIn: 0.002 }
    };
    expect(judged(near)).toMatchObject({ verdict: 'measure', cannotTell: ['within-uncertainty'] });
    // what the eye condemns is condemned all the same
    expect(judged({ ...near, flags: ['cracked'] }).verdict).toBe('replace');
  });

  it('by eye alone condemns, and never says that a head is good', () => {
    expect(judged({ kind: 'eyed', flags: ['clinched'] }).verdict).toBe('replace');
    expect(judged({ kind: 'eyed', flush: { by: 'number', offIn: 0.001 } }).verdict).toBe('measure');
    expect(judgeLook(look({ kind: 'eyed' }), FLUSH, HOLE)).toMatchObject({
      ok: false,
      error: { said: { code: 'nothing-seen' } }
    });
  });

  it('is asked how flush by what it lies in: never so low that its countersink goes through', () => {
    const at = (offIn: number, hole: ReturnType<typeof among>) =>
      resultOf(judgeLook(look({ ...good, flush: { by: 'number', offIn } }), FLUSH, hole));
    // a head 0.042 high in 0.041: at +0.0005 the cut is 0.0415 deep
    expect(at(0.0005, among(0.041, 0.063))).toMatchObject({
      findings: ['not-flush-low'],
      seat: 'countersunk'
    });
    expect(at(0.001, among(0.041, 0.063)).verdict).toBe('accept');
    expect(at(0.0005, among(0.063, 0.041)).verdict).toBe('accept');
    // dimpled sheets have no cut: the shop's own limits
    expect(at(0.0005, among(0.025, 0.032))).toMatchObject({ verdict: 'accept', seat: 'dimpled' });
    // a dimple over a countersunk sheet: the head lies in the dimple
    expect(at(0.003, among(0.025, 0.071))).toMatchObject({
      findings: ['not-flush-high'],
      seat: 'dimpled'
    });
    expect(judged(good).seat).toBeNull();
  });

  it('has no flushness where the head stands out, or the release holds no limits', () => {
    const flush = { ...good, flush: { by: 'number', offIn: 0 } };
    for (const facts of [ROUND, { ...FLUSH, rules: null }])
      expect(judgeLook(look(flush), facts, HOLE)).toMatchObject({
        ok: false,
        error: { said: { code: 'no-flush-limits' } }
      });
  });

  it('against a plate has no figures in D', () => {
    const plate = { name: 'p', headHoleIn: 0.163, notchIn: 0.048 };
    expect(judged({ kind: 'gauged', plate, fitsOver: true, touchesSheet: false })).toMatchObject({
      verdict: 'drive-more',
      diameterD: null,
      heightD: null
    });
  });
});
