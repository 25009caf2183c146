import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { readInput } from '../schema/read';
import { pickUp, PickUpInput } from './pick-up';
import { refusal } from '../../../tests/support/words';

const ASKED: PickUpInput = {
  datumA: { xIn: 0, yIn: 0 },
  datumB: { xIn: 5, yIn: 0 },
  fromAIn: 3,
  fromBIn: 4,
  side: 'left'
};

describe('picking up a hole with two tapes', () => {
  it('solves the 3-4-5 triangle on either side', () => {
    const { at, other } = resultOf(pickUp(ASKED));
    expect([at.xIn, at.yIn]).toEqual([expect.closeTo(1.8, 12), expect.closeTo(2.4, 12)]);
    expect([other.xIn, other.yIn]).toEqual([expect.closeTo(1.8, 12), expect.closeTo(-2.4, 12)]);
    expect(resultOf(pickUp({ ...ASKED, side: 'right' })).at.yIn).toBeCloseTo(-2.4, 12);
  });

  it('knows a good crossing from a bad one', () => {
    // tapes at right angles: off by √2/64 at the most, give or take the curvature
    expect(resultOf(pickUp(ASKED)).errorIn).toBeCloseTo(Math.SQRT2 / 64, 3);
    const flat = resultOf(pickUp({ ...ASKED, fromAIn: 2.6, fromBIn: 2.5 })).errorIn ?? NaN;
    expect(flat).toBeGreaterThan(0.05);
    expect(resultOf(pickUp({ ...ASKED, fromAIn: 2.5, fromBIn: 2.5 }))).toMatchObject({
      errorIn: null
    });
  });

  it('opens to its arithmetic, and to no figure where there is none', () => {
    const shifted = {
      ...ASKED,
      datumA: { xIn: 1, yIn: 2 },
      datumB: { xIn: 4, yIn: 6 }
    };
    const answer = pickUp(shifted);
    // (3² − 4² + 5²) / 10
    expect(answer.ok && answer.work.map(({ value, unit }) => [value, unit])).toEqual([
      [5, 'in'],
      [expect.closeTo(1.8, 12), 'in'],
      [answer.ok ? answer.result.errorIn : null, 'in']
    ]);
    const flat = pickUp({ ...ASKED, fromAIn: 2.5, fromBIn: 2.5 });
    expect(flat.ok && flat.work[2]).toMatchObject({
      value: 'no bound: the tapes run along one line',
      unit: ''
    });
  });

  it('is as uncertain on one side as on the other', () => {
    const left = resultOf(pickUp(ASKED)).errorIn ?? NaN;
    expect(resultOf(pickUp({ ...ASKED, side: 'right' })).errorIn).toBeCloseTo(left, 12);
    // a quarter of a degree: the worst of four corners, not of two
    const worst = Math.max(
      ...[-1, 1].flatMap((a) =>
        [-1, 1].map((b) => {
          const moved = resultOf(pickUp({ ...ASKED, fromAIn: 3 + a / 64, fromBIn: 4 + b / 64 })).at;
          return Math.hypot(moved.xIn - 1.8, moved.yIn - 2.4);
        })
      )
    );
    expect(left).toBeCloseTo(worst, 12);
  });

  it.each([
    [{ fromAIn: '0' }, 'fromAIn'],
    [{ fromBIn: '0' }, 'fromBIn'],
    [{ fromAIn: '100001' }, 'fromAIn'],
    [{ datumA: { xIn: '-100001', yIn: '0' } }, 'datumA.xIn'],
    [{ datumB: { xIn: '0' } }, 'datumB.yIn'],
    [{ side: 'up' }, 'side']
  ])('asks for better input than %j', (change, path) => {
    expect(readInput(PickUpInput, { ...ASKED, ...change })).toMatchObject({
      ok: false,
      error: { path }
    });
  });

  it('says by how much the tapes miss', () => {
    const apart = pickUp({ ...ASKED, fromAIn: 1, fromBIn: 2 });
    expect(apart.ok ? '' : refusal(apart.error)).toMatch(/2 in short of the 5 in/);
    const inside = pickUp({ ...ASKED, fromAIn: 9, fromBIn: 2 });
    expect(inside.ok ? '' : refusal(inside.error)).toMatch(/differ by 7 in/);
    expect(pickUp({ ...ASKED, datumB: ASKED.datumA })).toMatchObject({
      error: { code: 'invalid-input', said: { code: 'one-datum-point' } }
    });
  });

  it('finds any point back from its two distances', () => {
    const place = fc.double({ min: -50, max: 50, noNaN: true });
    fc.assert(
      fc.property(place, place, place, place, (ax, ay, x, y) => {
        const datumA = { xIn: ax, yIn: ay };
        const datumB = { xIn: ax + 10, yIn: ay + 3 };
        const fromAIn = Math.hypot(x - ax, y - ay);
        const fromBIn = Math.hypot(x - datumB.xIn, y - datumB.yIn);
        // left of A → B where the cross product is positive
        const cross = 10 * (y - ay) - 3 * (x - ax);
        fc.pre(fromAIn > 0.1 && fromBIn > 0.1 && Math.abs(cross) > 0.5);
        const { at } = resultOf(
          pickUp({ datumA, datumB, fromAIn, fromBIn, side: cross > 0 ? 'left' : 'right' })
        );
        expect(at.xIn).toBeCloseTo(x, 6);
        expect(at.yIn).toBeCloseTo(y, 6);
      })
    );
  });
});
