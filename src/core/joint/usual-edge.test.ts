import { expect, it } from 'vitest';
import { edgeOf } from './usual-edge';

const laid = {
  edgeIn: null,
  scale: '1/64' as '1/64' | '1mm' | '0.5mm' | '0.1' | '0.01' | '1/32' | 'exact',
  divisionsFrom: 'datum' as 'datum' | 'first-hole'
};

it.each([
  // 2 D of dash 4 is 0.25 in = 16/64 = 6.35 mm
  ['1/64', 17 / 64, '1/64'],
  ['1/32', 9 / 32, '1/32'],
  ['0.1', 0.3, '0.1'],
  ['0.01', 0.26, '0.01'],
  ['1mm', 7 / 25.4, '1mm'],
  ['0.5mm', 6.5 / 25.4, '0.5mm'],
  ['exact', 9 / 32, '1/32']
] as const)('lies on the next division of %s over the least', (scale, edgeIn, step) => {
  const edge = edgeOf({ ...laid, scale }, 0.25);
  expect(edge.edgeIn).toBeCloseTo(edgeIn, 12);
  expect(edge.step).toBe(step);
});

it('is the next 1/32 on any scale where a joint was laid out before', () => {
  for (const scale of ['1mm', '0.1', '1/64'] as const)
    expect(edgeOf({ ...laid, scale, divisionsFrom: 'first-hole' }, 0.25)).toEqual({
      edgeIn: 9 / 32,
      step: '1/32'
    });
});

it('is what was typed, whatever the scale', () => {
  expect(edgeOf({ ...laid, edgeIn: 0.3 }, 0.25)).toEqual({ edgeIn: 0.3, step: null });
});

it('is a division above one that is the least itself', () => {
  // 15/64 is the least of dash 3 flush, and a division
  expect(edgeOf(laid, 15 / 64).edgeIn).toBe(0.25);
});
