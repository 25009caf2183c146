import { expect, it } from 'vitest';
import { fewestSpaces } from './spaces';

it.each([
  // 6 / 1.5 is four spaces to the last thousandth, a hair more is five
  [6, 1.5, undefined, 4],
  [6.001, 1.5, undefined, 5],
  // a sum of thirds that is six in a double is six
  [0.1 + 0.2 + 5.7, 1.5, undefined, 4],
  [0.4, 1.5, undefined, 1],
  [6, 1.5, 7, 7],
  [6, 1.5, 3, 4],
  [6, 1.5, 0, 4],
  // 1200 / 1.125 = 1066.67
  [1200, 1.125, undefined, 1067]
])('%s within %s, at least %s: %s spaces', (spanIn, mostIn, least, spaces) => {
  expect(fewestSpaces(spanIn, mostIn, least)).toBe(spaces);
});
