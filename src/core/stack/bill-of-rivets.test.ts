import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { arithmetic } from '../../../tests/support/words';
import { billOfRivets, BillOfRivetsInput, rivetVolumeIn3 } from './bill-of-rivets';

const bill = (input: object) => resultOf(billOfRivets(BillOfRivetsInput.parse(input)));

describe('the bill of rivets', () => {
  it('adds up one part number however it is written', () => {
    const { lines } = bill({
      needs: [
        { partNumber: 'ms20470 ad4-5', count: 120 },
        { partNumber: 'MS20470AD4-5', count: 30 },
        { partNumber: 'MS20470AD4-10', count: 8 }
      ]
    });
    // 10 % of 150 is 15; 10 % of 8 is under the least of 5
    expect(
      lines.map(({ partNumber, needed, spares, toDraw }) => [partNumber, needed, spares, toDraw])
    ).toEqual([
      ['MS20470AD4-5', 150, 15, 165],
      ['MS20470AD4-10', 8, 5, 13]
    ]);
  });

  it('says what is short against the stock, and nothing without one', () => {
    const needs = [{ partNumber: 'MS20426AD3-4', count: 40 }];
    expect(bill({ needs }).lines[0]).toMatchObject({ onHand: null, short: null });
    expect(bill({ needs, onHand: { 'MS20426AD3-4': 41 } }).lines[0]).toMatchObject({
      onHand: 41,
      short: 4
    });
    expect(bill({ needs, onHand: {} }).lines[0]).toMatchObject({ onHand: 0, short: 45 });
    expect(bill({ needs, onHand: { 'ms20426ad3-4 ': 100 } }).lines[0]?.short).toBe(0);
  });

  it('weighs shank and head', () => {
    // shank π/4 · 0.125² · 0.25; cap of height 0.054 on a radius of 0.125
    const shank = 0.0030679616;
    const cap = (Math.PI * 0.054 * (3 * 0.125 ** 2 + 0.054 ** 2)) / 6;
    expect(rivetVolumeIn3(4, 'universal', 0.25)).toBeCloseTo(shank + cap, 9);
    expect(bill({ needs: [{ partNumber: 'MS20470AD4-4', count: 1000 }] }).massLb).toBeCloseTo(
      100 * (shank + cap),
      6
    );
  });

  it('shows its arithmetic line by line, in the order of the numbers', () => {
    const answer = billOfRivets(
      BillOfRivetsInput.parse({
        needs: [
          { partNumber: 'MS20470AD4-10', count: 8 },
          { partNumber: 'MS20470AD4-4', count: 150 }
        ],
        spares: { percent: 0, atLeast: 2 }
      })
    );
    // shank 0.0030679616 and cap 0.001407810: 0.004475772 in³ each
    expect(answer.ok && arithmetic(answer.work)).toEqual([
      'MS20470AD4-4: 150 + the larger of 2 and 0 % = 152 rivets',
      'mass of MS20470AD4-4: 150 × volume × density = 150 × 0.004476 × 0.100 lb/in³ = 0.067137 lb',
      'MS20470AD4-10: 8 + the larger of 2 and 0 % = 10 rivets',
      'mass of MS20470AD4-10: 8 × volume × density = 8 × 0.009078 × 0.100 lb/in³ = 0.007262 lb'
    ]);
  });

  it('weighs a flush head as a cone down to the shank', () => {
    // π/4 · 0.125² · (0.25 − 0.042) and π·0.042/3 · (0.1125² + 0.1125·0.0625 + 0.0625²)
    expect(rivetVolumeIn3(4, 'countersunk', 0.25)).toBeCloseTo(
      0.002552544 + (Math.PI * 0.042 * (0.01265625 + 0.00703125 + 0.00390625)) / 3,
      9
    );
  });

  it('takes a flush head out of the overall length', () => {
    // a frustum lies between a cylinder of the shank and one of the head
    const shankOnly = (Math.PI / 4) * 0.125 ** 2 * 0.25;
    const headOnly = (Math.PI / 4) * 0.225 ** 2 * 0.042;
    const volume = rivetVolumeIn3(4, 'countersunk', 0.25);
    expect(volume).toBeGreaterThan(shankOnly);
    expect(volume).toBeLessThan(shankOnly + headOnly);
  });

  it('draws no spares for nothing and points at a number it cannot read', () => {
    expect(bill({ needs: [{ partNumber: 'MS20470AD4-4', count: 0 }] }).lines[0]).toMatchObject({
      toDraw: 0
    });
    const answer = billOfRivets(
      BillOfRivetsInput.parse({ needs: [{ partNumber: 'MS20470AD7-4', count: 1 }] })
    );
    expect(answer).toMatchObject({ ok: false, error: { path: 'needs.0.partNumber' } });
  });
});
