import { describe, expect, it } from 'vitest';
import { fieldAfter } from './enter-goes-on';

/** Fields in order: n needed, - filled in. */
const from = (fields: string, at: number) =>
  fieldAfter(
    [...fields].map((letter) => ({ dataset: letter === 'n' ? { needed: '' } : {} })),
    at
  );

describe('Enter goes on', () => {
  it.each([
    ['-nn-', 0, 1],
    ['--n-', 0, 2],
    // what was left out before is not forgotten
    ['n---', 2, 0],
    ['----', 1, 2],
    ['----', 3, null],
    // still needed itself, and the only one: on all the same
    ['-n--', 1, 2]
  ])('%s from %i to %s', (fields, at, to) => {
    expect(from(fields, at)).toBe(to);
  });
});
