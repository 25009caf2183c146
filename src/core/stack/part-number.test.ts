import { describe, expect, it } from 'vitest';
import { holdsWorkedCases } from '../../../tests/support/cases';
import { partNumber } from './part-number';
import { arithmetic, refusal } from '../../../tests/support/words';

describe('part numbers', () => {
  holdsWorkedCases('part-number');

  it.each([
    ['MS20470AD4-2', 0.125],
    ['MS20470AD4-32', 2]
  ])('reads the shortest and the longest: %s', (text, lengthIn) => {
    expect(partNumber({ text })).toMatchObject({ ok: true, result: { lengthIn } });
  });

  it('shows where a length is measured', () => {
    const [universal, flush] = ['ms20470 ad 5-6.5', 'AN426 DD3-4'].map((text) => {
      const answer = partNumber({ text });
      return answer.ok ? arithmetic(answer.work) : [];
    });
    expect(universal).toEqual([
      'diameter: 5 / 32 = 0.15625 in',
      'length under the head: 6.5 / 16 = 0.40625 in'
    ]);
    expect(flush?.[1]).toBe('length overall: 4 / 16 = 0.25 in');
  });

  it.each([
    // a number inside other text, and one with more behind it, are not read
    ['XMS20470AD4-6', /does not start with MS20470/],
    ['MS20470AD4-6 2', /outside -2 to -32/],
    ['MS20470AD4-6X', /not head, alloy, diameter/],
    ['MS20470AD4-6.25', /neither whole nor a half/],
    [' AD4-6 ', /"AD4-6"/],
    [' MS20470AD ', /"MS20470AD"/],
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
