import { describe, expect, it } from 'vitest';
import { smallRelease } from '../../../tests/support/small-release.ts';
import { drivingOrder } from './driving-order.ts';
import { releaseOrder } from './release-order.ts';

const RELEASE = smallRelease();
const shaped = (widthIn: number, overlapIn: number) => ({
  ...RELEASE,
  facts: { ...RELEASE.facts, widthIn, overlapIn }
});
const told = (school: 'flat' | 'sequence', order: number[] | null) => ({
  school,
  order,
  at: '2031-05-02T08:00:00Z'
});

describe('the order of a release', () => {
  it('keeps sheets flat, and goes along a member that is long and slender', () => {
    expect(releaseOrder(shaped(7, 1.75), null).school).toBe('flat');
    // over 24 in, and over eight times as long as deep
    expect(releaseOrder(shaped(24, 1), null).school).toBe('flat');
    expect(releaseOrder(shaped(24.5, 1), null).school).toBe('sequence');
    expect(releaseOrder(shaped(32, 4), null).school).toBe('flat');
    expect(releaseOrder(shaped(32.5, 4), null).school).toBe('sequence');
  });

  it('is the school’s own until somebody puts another', () => {
    const own = releaseOrder(RELEASE, null);
    const flat = drivingOrder(RELEASE.holes, 'flat');
    expect(flat.ok && own.order).toEqual(flat.ok && flat.result.order);
    expect(flat.ok && own.passOf).toEqual(flat.ok && flat.result.passOf);
    expect([own.byHand, own.work.length > 0]).toEqual([false, true]);
    const other = releaseOrder(RELEASE, told('sequence', null));
    expect(other).toMatchObject({ school: 'sequence', byHand: false });
    expect(other.order).not.toEqual(own.order);
    const hand = [...own.order].reverse();
    expect(releaseOrder(RELEASE, told('flat', hand))).toMatchObject({ order: hand, byHand: true });
  });
});
