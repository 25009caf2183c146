import { describe, expect, it } from 'vitest';
import { definition } from '../../../tests/support/joints';
import { planCost } from './plan-cost';

const keepOut = {
  id: 'latch',
  name: '',
  shape: 'rect',
  xIn: '3',
  yIn: '0',
  wIn: '1/4',
  hIn: ''
} as const;
const lap = (widthIn: string, change = {}) =>
  definition('lap', ['0.040', '0.040'], { widthIn, dash: 4, ...change });

describe('how long a plan takes', () => {
  it('is nothing to speak of while nothing is in the way', () => {
    expect(planCost(lap('1200'))).toBeLessThan(3_000_000);
    expect(planCost(lap('1200'))).toBeGreaterThan(planCost(lap('12')));
  });

  it('grows with the square of the length and with the ruler', () => {
    const [short, long] = [lap('20', { keepOuts: [keepOut] }), lap('200', { keepOuts: [keepOut] })];
    expect(planCost(long) / planCost(short)).toBeCloseTo(100, 6);
    expect(
      planCost(lap('20', { keepOuts: [keepOut], scale: '1/64' })) / planCost(short)
    ).toBeCloseTo(2, 6);
  });
});
