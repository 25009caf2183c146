import { expect, it } from 'vitest';
import { samePlace } from './same-place.ts';

it('two holes lie at one place where both their distances are written alike', () => {
  const here = { xIn: 2, yIn: 0.5 };
  expect(samePlace(here, { xIn: 2.0000005, yIn: 0.4999995 })).toBe(true);
  expect(samePlace(here, { xIn: 2.00001, yIn: 0.5 })).toBe(false);
  expect(samePlace(here, { xIn: 2, yIn: 0.50001 })).toBe(false);
});
