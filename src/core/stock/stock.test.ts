import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { shortages } from './shortages';
import { balanceOf, StockMove } from './stock';
import { refusal } from '../../../tests/support/words';
import { problemsOf } from '../schema/read';

const moved = (...moves: ['received' | 'issued' | 'counted', number][]) =>
  balanceOf(moves.map(([kind, count]) => ({ kind, count })));

describe('what is in a bin', () => {
  it.each([
    [[], 0],
    [[['received', 200]], 200],
    [
      [
        ['received', 200],
        ['issued', 35],
        ['received', 50]
      ],
      215
    ],
    // a count corrects whatever was thought before, and goes on from there
    [
      [
        ['received', 200],
        ['issued', 35],
        ['counted', 158],
        ['issued', 8]
      ],
      150
    ],
    [
      [
        ['received', 10],
        ['counted', 0]
      ],
      0
    ]
  ] as [Parameters<typeof moved>, number][])('%j leaves %i', (moves, left) => {
    expect(moved(...moves)).toBe(left);
  });
});

describe('a movement as sent', () => {
  const received = {
    kind: 'received',
    id: '5f0f6f7c-7d63-4e0e-8d7b-6f0d9a3b1c11',
    at: '2026-11-20T09:00:00Z',
    partNumber: ' ms20470 ad4-4.5 ',
    lot: 'L 77',
    cold: false,
    count: 100
  };
  it('names its rivet canonically', () => {
    expect(StockMove.parse(received)).toMatchObject({ partNumber: 'MS20470AD4-4.5', place: '' });
  });
  it.each([
    [{ partNumber: 'MS20470XX4-4' }, /alloy "XX" is not one of/],
    [{ count: 0 }, /at least 1/],
    [{ count: 2.5 }, /whole number/],
    [{ lot: ' ' }, /Lot missing/]
  ])('is refused with %j', (change, message) => {
    const read = StockMove.safeParse({ ...received, ...change }, { reportInput: true });
    expect(read.success ? '' : problemsOf(read.error).map(refusal).join()).toMatch(message);
  });
});

describe('shortages over open jobs', () => {
  const job = (name: string, needs: [string, number][], issued = {}) => ({
    job: name,
    needs: needs.map(([partNumber, count]) => ({ partNumber, count })),
    issued
  });

  it('reckon spares job by job, take off what was handed out, and put the shortest first', () => {
    const found = resultOf(
      shortages(
        [
          // 50 + 5 spares, and 12 + 5 spares
          job('0318', [
            ['MS20470AD4-4.5', 50],
            ['MS20426AD4-5', 12]
          ]),
          // 100 + 10 spares, 60 of them handed out
          job('0321', [['MS20470AD4-4.5', 100]], { 'MS20470AD4-4.5': 60 })
        ],
        { 'MS20470AD4-4.5': 90, 'MS20426AD4-5': 40 }
      )
    );
    expect(found).toEqual([
      {
        partNumber: 'MS20470AD4-4.5',
        wanted: 105,
        onHand: 90,
        short: 15,
        jobs: [
          { job: '0318', wanted: 55 },
          { job: '0321', wanted: 50 }
        ]
      },
      {
        partNumber: 'MS20426AD4-5',
        wanted: 17,
        onHand: 40,
        short: 0,
        jobs: [{ job: '0318', wanted: 17 }]
      }
    ]);
  });

  it('leave out what a job has been given in full', () => {
    expect(
      resultOf(shortages([job('1', [['MS20470AD4-4', 10]], { 'MS20470AD4-4': 15 })], {}))
    ).toEqual([]);
  });
});
