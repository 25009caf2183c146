import { describe, expect, it } from 'vitest';
import { formatLength, writeDecimal, writeFraction } from './format-length';

describe('writing a length', () => {
  it.each([
    [0.28125, '1/32', '9/32', 'in'],
    [1.5, '1/32', '1 1/2', 'in'],
    [12, '1/64', '12', 'in'],
    [0.015625, '1/64', '1/64', 'in'],
    // 1/64 is no 32nd, and 0.040 no 64th: a rounded fraction would be a wrong one
    [0.015625, '1/32', '0.0156', 'in'],
    [0.04, '1/64', '0.040', 'in'],
    [0.5208333, 'decimal', '0.5208', 'in'],
    [0.04, 'thou', '40', 'thou'],
    [0.0625, 'thou', '62.5', 'thou'],
    [1, 'mm', '25.4', 'mm'],
    [0.125, 'mm', '3.18', 'mm'],
    [-0.25, '1/32', '-1/4', 'in']
  ] as const)('%d in as %s is %s', (lengthIn, style, figure, unit) => {
    expect(formatLength(lengthIn, style)).toEqual({ figure, unit });
  });

  it('never writes a minus before zero', () => {
    expect(writeDecimal(-0.00001, 3, 4)).toBe('0.000');
    expect(writeFraction(-1e-12, 64)).toBe('0');
  });
});
