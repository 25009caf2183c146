import { describe, expect, it } from 'vitest';
import { definition } from '../../../tests/support/joints';
import { newSheet, type EnteredSheet } from '../joint/sheets';
import { strengthBasis } from './strength-view';

const of = (material: EnteredSheet['material'], thickness: string, change = {}): EnteredSheet => ({
  ...newSheet(`${material} ${thickness}`, thickness, `sheet-${Number(thickness) * 1000}`),
  material,
  ...change
});
const lap = (sheets: EnteredSheet[], change = {}) =>
  strengthBasis(definition('lap', ['', ''], { widthIn: '6', sheets, ...change }));

describe('the sheet that strength is judged on', () => {
  it('is the thinner of two alike, of the family’s weakest while nothing is told', () => {
    expect(lap([of('', '0.040'), of('', '0.032')])).toEqual({
      sheet: '2024-T3 clad',
      sheetChosen: false,
      thicknessIn: 0.032
    });
  });

  it('is the one that tears first, not merely the thinnest', () => {
    // 71 × 0.032 = 2.27 ksi·in against 34 × 0.040 = 1.36
    expect(lap([of('7075-T6 clad', '0.032'), of('5052-H34', '0.040')])).toEqual({
      sheet: '5052-H34',
      sheetChosen: true,
      thicknessIn: 0.04
    });
    // a told sheet beside one that is not: 71 × 0.032 = 2.27 against 58 × 0.036 = 2.09
    expect(lap([of('7075-T6 clad', '0.032'), of('', '0.036')])).toMatchObject({
      sheet: '2024-T3 clad',
      sheetChosen: false,
      thicknessIn: 0.036
    });
  });

  it('counts a tapered sheet where it is thinnest, and takes the joint’s own choice', () => {
    const tapered = of('', '0.063', { endThicknessIn: '0.025' });
    expect(lap([tapered, of('', '0.032')]).thicknessIn).toBe(0.025);
    expect(lap([tapered, of('5052-H34', '0.032')], { strengthSheet: '6061-T6' })).toEqual({
      sheet: '6061-T6',
      sheetChosen: true,
      thicknessIn: 0.025
    });
  });

  it('is the member between two straps, and never the plastic of a panel', () => {
    const straps = definition('double-strap', ['0.016', '0.040', '0.016'], { widthIn: '3' });
    expect(strengthBasis(straps).thicknessIn).toBe(0.04);
    const panel = definition('panel', ['0.040', '0.016', '0.050'], {
      widthIn: '20',
      heightIn: '12',
      frameIn: '1'
    });
    expect(strengthBasis(panel).thicknessIn).toBe(0.04);
  });
});
