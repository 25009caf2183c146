import { expect, it } from 'vitest';
import { cuttingMethod } from './cutting-advice';

it.each([
  [0.032, 'nibbler'],
  [0.04, 'snips'],
  [0.071, 'router'],
  [0.125, 'saw']
])('cuts %s in by', (thicknessIn, how) => {
  expect(cuttingMethod(thicknessIn)).toBe(how);
});
