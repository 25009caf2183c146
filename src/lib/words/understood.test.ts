import { expect, it } from 'vitest';
import { understood } from './understood';
import { exactDecimal } from './writing';

it('tells the exact decimal and how a text was understood', () => {
  expect(exactDecimal(0.52083333)).toBe('0.520833 in');
  expect(understood('2.4mm')).toBe('= 0.094488 in · 2.4 mm');
  expect(understood('3/32')).toBe('= 0.09375 in · 2.38 mm');
  expect(understood('x')).toBeNull();
});
