import { describe, expect, it } from 'vitest';
import { holdsWorkedCases } from '../../../tests/support/cases';
import { partNumber } from './part-number';
import { refusal } from '../../../tests/support/words';

describe('part numbers', () => {
  holdsWorkedCases('part-number');

  it.each([
    ['MS20470AD4-2', 0.125],
    ['MS20470AD4-32', 2]
  ])('reads the shortest and the longest: %s', (text, lengthIn) => {
    expect(partNumber({ text })).toMatchObject({ ok: true, result: { lengthIn } });
  });

  it.each([
    ['MS20615M4-6', /does not start with MS20470/],
    ['MS20470AD4', /not head, alloy, diameter/],
    ['MS20470X4-6', /alloy "X"/],
    ['MS20470AD7-6', /diameter "7"/],
    ['MS20470AD44-6', /diameter "44"/],
    ['MS20470AD4-6.3', /neither whole nor a half/],
    ['MS20470AD4-1.5', /outside -2 to -32/],
    ['MS20470AD4-33', /outside -2 to -32/],
    ['MS20470AD4-32.5', /outside -2 to -32/]
  ])('says what in %s was not understood', (text, message) => {
    const answer = partNumber({ text });
    expect(answer).toMatchObject({ ok: false, error: { code: 'invalid-input', path: 'text' } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
  });
});
