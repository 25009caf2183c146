import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { flushMethod, NEST_PER_IN } from './flush-method';

describe('flush method', () => {
  holdsWorkedCases('flush-method');

  it('nests a dimple by the slope of its cone', () => {
    expect(NEST_PER_IN).toBeCloseTo(0.3054, 4);
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
