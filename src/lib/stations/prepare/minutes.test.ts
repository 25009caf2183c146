import { describe, expect, it } from 'vitest';
import { minutes } from './minutes';

describe('a time to allow', () => {
  it.each([
    [0.4, '0 min'],
    [46.2, '46 min'],
    [90.4, '90 min'],
    [91, '1 h 31 min'],
    [119.7, '2 h'],
    [306, '5 h 6 min']
  ])('of %s minutes is %s', (value, text) => {
    expect(minutes(value)).toBe(text);
  });
});
