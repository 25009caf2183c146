import { describe, expect, it } from 'vitest';
import { smallIssue } from '../../../tests/support/small-issue.ts';
import { drivingOrder } from './driving-order.ts';
import { issueOrder } from './issue-order.ts';

const ISSUE = smallIssue();
const shaped = (widthIn: number, overlapIn: number) => ({
  ...ISSUE,
  facts: { ...ISSUE.facts, widthIn, overlapIn }
});
const told = (school: 'flat' | 'sequence', order: number[] | null) => ({
  school,
  order,
  at: '2031-05-02T08:00:00Z'
});

describe('the order of a release', () => {
  it('keeps sheets flat, and goes along a member that is long and slender', () => {
    expect(issueOrder(shaped(7, 1.75), null).school).toBe('flat');
    // over 24 in, and over eight times as long as deep
    expect(issueOrder(shaped(24, 1), null).school).toBe('flat');
    expect(issueOrder(shaped(24.5, 1), null).school).toBe('sequence');
    expect(issueOrder(shaped(32, 4), null).school).toBe('flat');
    expect(issueOrder(shaped(32.5, 4), null).school).toBe('sequence');
  });

  it('is the school’s own until somebody puts another', () => {
    const own = issueOrder(ISSUE, null);
    const flat = drivingOrder(ISSUE.holes, 'flat');
    expect(flat.ok && own.order).toEqual(flat.ok && flat.result.order);
    expect(flat.ok && own.passOf).toEqual(flat.ok && flat.result.passOf);
    expect([own.byHand, own.work.length > 0]).toEqual([false, true]);
    const other = issueOrder(ISSUE, told('sequence', null));
    expect(other).toMatchObject({ school: 'sequence', byHand: false });
    expect(other.order).not.toEqual(own.order);
    const hand = [...own.order].reverse();
    expect(issueOrder(ISSUE, told('flat', hand))).toMatchObject({ order: hand, byHand: true });
  });
});
