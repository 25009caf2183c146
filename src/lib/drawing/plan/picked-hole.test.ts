import { describe, expect, it } from 'vitest';
import { nearestHole } from './picked-hole';

const place = { x: (inches: number) => 10 + 40 * inches, y: (inches: number) => 20 + 40 * inches };
const marks = [
  { number: 1, xIn: 0, yIn: 0 },
  { number: 2, xIn: 1, yIn: 0 },
  { number: 3, xIn: 1, yIn: 0.5 }
];

describe('the hole that a tap means', () => {
  it('is the nearest within a finger’s reach', () => {
    expect(nearestHole(marks, place, 12, 23)).toBe(1);
    // between two, 1 px nearer to the third
    expect(nearestHole(marks, place, 50, 31)).toBe(3);
    expect(nearestHole(marks, place, 50, 29)).toBe(2);
  });

  it('is none where no hole lies within 22 px', () => {
    expect(nearestHole(marks, place, 10, 20 - 21.9)).toBe(1);
    expect(nearestHole(marks, place, 10, 20 - 22.1)).toBeNull();
    expect(nearestHole([], place, 10, 20)).toBeNull();
  });
});
