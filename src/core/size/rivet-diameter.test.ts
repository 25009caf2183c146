import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { rivetDiameter } from './rivet-diameter';

describe('rivet diameter', () => {
  holdsWorkedCases('rivet-diameter');

  it('reads the schools off different sheets', () => {
    const sheetsIn = [0.063, 0.032];
    // 3 × 0.063 = 0.189, nearest 0.1875; 3 × 0.032 = 0.096, nearest 0.09375
    expect(resultOf(rivetDiameter({ sheetsIn, school: 'thickest' })).dash).toBe(6);
    expect(resultOf(rivetDiameter({ sheetsIn, school: 'thinnest' })).dash).toBe(3);
  });

  it('sends a tie up', () => {
    // 3 t = 0.140625 lies midway between 1/8 and 5/32
    expect(resultOf(rivetDiameter({ sheetsIn: [0.046875], school: 'thickest' })).dash).toBe(5);
  });
});
