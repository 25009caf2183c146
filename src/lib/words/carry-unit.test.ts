import { describe, expect, it } from 'vitest';
import { carryUnit, isBare, sayInches } from './carry-unit.ts';
import { parseLength } from '../../core/units/parse-length.ts';

describe('a figure typed by somebody who works in millimeters', () => {
  it('carries its unit', () => {
    expect(carryUnit('9')).toBe('9 mm');
    expect(carryUnit(' .8')).toBe(' .8 mm');
    expect(carryUnit('-0.02')).toBe('-0.02 mm');
    // only inches have fractions
    expect(carryUnit('1 1/8')).toBe('1 1/8 in');
    expect(carryUnit('3/32')).toBe('3/32 in');
    expect(carryUnit('12; 25.4, 1/8\n90')).toBe('12 mm; 25.4 mm, 1/8 in\n90 mm');
  });

  it('stays as it is where it says its unit, or is no figure', () => {
    for (const text of ['', '9mm', '0.040 in', '4"', '32 thou', '#30', 'F', '1 1', '9 m', '1e3'])
      expect(carryUnit(text)).toBe(text);
  });

  it('stored bare is inches for everyone', () => {
    expect(sayInches('0.040')).toBe('0.040 in');
    expect(sayInches('0.5, 1')).toBe('0.5 in, 1 in');
    expect(sayInches('9 mm')).toBe('9 mm');
    expect(isBare('.040')).toBe(true);
    expect(isBare('.040 in')).toBe(false);
    for (const text of ['0.040', '1 1/8', '.5'])
      expect(parseLength(sayInches(text))).toEqual(parseLength(text));
  });
});
