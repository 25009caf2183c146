import { describe, expect, it } from 'vitest';
import { readGaugeLine } from './gauge-lines.ts';
import { plainWidth } from './plain-reading.ts';

const widthIn = (text: string, unit: 'in' | 'mm') => {
  const line = plainWidth(text, unit);
  const said = line === null ? null : readGaugeLine(line);
  return said?.kind === 'width' ? said.widthIn : null;
};

describe('a figure without a protocol', () => {
  it.each([
    ['0.1890', 'in', 0.189],
    ['+ 0.1890', 'in', 0.189],
    ['.1725', 'in', 0.1725],
    ['0.2345"', 'mm', 0.2345],
    ['4.80', 'mm', 0.18898],
    ['+004.80 mm', 'in', 0.18898],
    ['4.8MM', 'in', 0.18898],
    [' 0 ', 'in', 0]
  ] as const)('%s on a display of %s is %f in', (text, unit, expected) =>
    expect(widthIn(text, unit)).toBeCloseTo(expected, 5)
  );

  it.each(['', '-0.1', '3/16', '0.1 0.2', '0,189', 'E1', '1e3', '4.8 cm', `0.${'1'.repeat(50)}`])(
    '%s is no width',
    (text) => expect(plainWidth(text, 'in')).toBeNull()
  );
});
