import { expect, it } from 'vitest';
import { clockText } from './clock-text.ts';

it('a clock never says more than is left', () => {
  expect(clockText(600)).toBe('10:00 left');
  expect(clockText(65.9)).toBe('1:05 left');
  expect(clockText(3599.9)).toBe('59:59 left');
  expect(clockText(3600)).toBe('1 h 00 min left');
  expect(clockText(0.9)).toBe('no time left');
});
