import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { patchLayout, PatchLayoutInput } from './patch-layout';
import { notation, refusal } from '../../../tests/support/words';
import { whyNot } from '../../../tests/support/why-not.ts';

const ASKED: PatchLayoutInput = {
  cutoutIn: { w: 5, h: 3.5 },
  cornerRadiusIn: 0.5,
  dash: 4,
  head: 'universal',
  edgeIn: 0.28125,
  clearanceIn: 1 / 32,
  insert: true,
  prefer: 'fewest',
  leastW: 2,
  leastH: 2
};

describe('a rectangular patch', () => {
  holdsWorkedCases('patch-layout');

  it('works out like on paper', () => {
    const result = resultOf(patchLayout(ASKED));
    expect(result.doublerIn).toEqual({ w: 6.125, h: 4.625 });
    expect(result.insertIn).toEqual({ w: 4.9375, h: 3.4375 });
    // skin line 5.5625 × 4.0625 at most 1.5 apart: 4 and 3 spaces; insert 4.375 × 2.875: 3 and 2
    expect(result.rings.map(({ nW, nH, count }) => [nW, nH, count])).toEqual([
      [4, 3, 14],
      [3, 2, 10]
    ]);
    // r = 0.46875: 0.46875 − √2 × 0.1875
    expect(result.insertCornerEdgeIn).toBeCloseTo(0.203585, 6);
  });

  it('takes ½ in corners, 1/32 in clearance and an insert where nothing else is told', () => {
    const told = { cutoutIn: { w: '5', h: '3.5' }, dash: 4, head: 'universal', edgeIn: '9/32' };
    expect(PatchLayoutInput.parse(told)).toMatchObject({
      cornerRadiusIn: 0.5,
      clearanceIn: 0.03125,
      insert: true,
      prefer: 'fewest',
      leastW: 2,
      leastH: 2
    });
    for (const [field, change] of [
      ['edgeIn', { edgeIn: '0' }],
      ['edgeIn', { edgeIn: '1201' }],
      ['clearanceIn', { clearanceIn: '-0.1' }],
      ['cornerRadiusIn', { cornerRadiusIn: '0' }],
      ['cutoutIn.w', { cutoutIn: { w: '0', h: '1' } }],
      ['cutoutIn.w', { cutoutIn: { w: '1201', h: '1' } }],
      ['leastW', { leastW: 1 }]
    ] as const)
      expect(whyNot(PatchLayoutInput.safeParse({ ...told, ...change }))).toBe(`field ${field}`);
  });

  it('opens to its arithmetic', () => {
    const answer = patchLayout(ASKED);
    const work = answer.ok ? answer.work : [];
    expect(work.map(({ label }) => label)).toEqual([
      'doubler',
      'skin rivet line',
      'insert',
      'insert corner to its curve',
      'skin pitch',
      'insert pitch',
      'rivets'
    ]);
    const said = work.map(({ formula }) => notation(formula));
    // 4 and 2 edge distances of 9/32, 2 clearances of 1/32
    expect(said[0]).toContain('+ 1.125');
    expect(said[1]).toContain('+ 0.5625');
    expect(said[2]).toContain('− 0.0625');
    expect(said[3]).toContain('r − √2·(r − edge), r = 0.46875');
    expect(said[6]).toBe('2 × (4 + 3) + 2 × (3 + 2)');
    // a corner no rounder than the edge distance has the edge distance itself
    const sharp = patchLayout({ ...ASKED, cornerRadiusIn: 0.3125 });
    expect(sharp.ok && notation(sharp.work[3]?.formula ?? '')).toContain('≤ edge');
    expect(resultOf(sharp).insertCornerEdgeIn).toBe(0.28125);
  });

  it('says its limits in inches where it says no', () => {
    expect(patchLayout({ ...ASKED, edgeIn: 0.24 })).toMatchObject({
      error: { said: { edgeMinIn: 0.25, edgeMaxIn: 0.5 } }
    });
    expect(patchLayout({ ...ASKED, leastW: 40 })).toMatchObject({
      error: { said: { code: 'pitch-under-least', line: 'skin', pitchMinIn: 0.375 } }
    });
    // the skin's line fits, the insert's has no room one way
    expect(
      patchLayout({ ...ASKED, cutoutIn: { w: 5, h: 0.6 }, cornerRadiusIn: 0.25 })
    ).toMatchObject({ error: { said: { code: 'cutout-too-small', line: 'insert' } } });
  });

  it('measures a corner rivet’s distance to the rounded corner', () => {
    const radiusIn = 0.46875;
    const { edgeIn } = ASKED;
    // the curve's centre lies r from both edges, the rivet one edge distance from both
    const toCentre = Math.hypot(radiusIn - edgeIn, radiusIn - edgeIn);
    expect(resultOf(patchLayout(ASKED)).insertCornerEdgeIn).toBeCloseTo(radiusIn - toCentre, 12);
  });

  it('carries what the load asks for', () => {
    const { rings } = resultOf(patchLayout({ ...ASKED, leastW: 8, insert: false }));
    expect(rings).toHaveLength(1);
    expect(rings[0]).toMatchObject({ nW: 7, nH: 3, count: 20 });
  });

  it.each([
    [{ edgeIn: 0.24 }, 'edgeIn', /2 D to 4 D/],
    [{ edgeIn: 0.51 }, 'edgeIn', /2 D to 4 D/],
    [{ cornerRadiusIn: 0.2 }, 'cornerRadiusIn', /outside 0\.25 in/],
    [{ cornerRadiusIn: 2 }, 'cornerRadiusIn', /half the smaller side, 1\.75/],
    [{ cornerRadiusIn: 1.5 }, 'cornerRadiusIn', /under D = 0\.125/],
    [{ leastW: 40 }, 'cutoutIn', /below the minimum of 3 D/],
    [{ cutoutIn: { w: 0.6, h: 0.6 }, cornerRadiusIn: 0.25 }, 'cutoutIn', /too small/]
  ])('says no to %j', (change, path, message) => {
    const answer = patchLayout({ ...ASKED, ...change });
    expect(answer).toMatchObject({ ok: false, error: { code: 'not-possible', path } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
  });
});
