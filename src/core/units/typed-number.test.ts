import { expect, it } from 'vitest';
import { typedNumber } from './typed-number.ts';

it.each([
  ['1.5', 1.5],
  [' 1,5 ', 1.5],
  ['0', 0],
  ['', NaN],
  ['  ', NaN],
  ['1,500,0', NaN],
  ['three', NaN]
])('%j is %d', (text, value) => expect(typedNumber(text)).toBe(value));
