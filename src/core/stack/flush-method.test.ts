import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { arithmetic } from '../../../tests/support/words';
import { flushMethod, NEST_PER_IN } from './flush-method';

describe('flush method', () => {
  holdsWorkedCases('flush-method');

  it('nests a dimple by the slope of its cone', () => {
    expect(NEST_PER_IN).toBeCloseTo(0.3054, 4);
  });

  it.each([
    [
      [0.063, 0.04],
      [
        'head height: 100° head of dash 4 = 0.042 in',
        'top sheet: 0.063 ≥ 0.04: countersink it = 0.063 in',
        'method: head 0.042 ≤ ⅔ × 0.063 = 0.042 = countersink'
      ]
    ],
    [
      [0.025, 0.032, 0.071],
      [
        'head height: 100° head of dash 4 = 0.042 in',
        'top sheet: 0.025 < 0.04: dimple it = 0.025 in',
        'total: 0.025 + 0.032 + 0.071 = 0.128 in',
        // 0.042 + 0.305407 × 0.057
        'cut in sheet 3: head + (1/sin 50° − 1) × dimpled = 0.042 + 0.305407 × 0.057 = 0.059408 in',
        'method: cut 0.059408 > ⅔ × 0.071 = dimple-top-countersink-under'
      ]
    ]
  ])('shows its arithmetic: %j', (sheetsIn, lines) => {
    const answer = flushMethod({ sheetsIn, dash: 4 });
    expect(answer.ok && arithmetic(answer.work)).toEqual(lines);
  });

  it('allows two thou proud and not more', () => {
    // dash 4 head 0.042: a 0.040 sheet leaves it 0.002 proud; dash 5 head 0.055 in 0.050 would go through
    expect(resultOf(flushMethod({ sheetsIn: [0.04, 0.05], dash: 4 }))).toEqual({
      method: 'countersink',
      margin: 'marginal',
      leastFlushIn: expect.closeTo(0.002, 12) as number
    });
    expect(resultOf(flushMethod({ sheetsIn: [0.05, 0.05], dash: 5 }))).toMatchObject({
      method: 'none',
      margin: 'knife-edge'
    });
  });
});
