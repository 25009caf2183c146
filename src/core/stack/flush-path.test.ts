import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { notation } from '../../../tests/support/words';
import { DASHES } from '../catalog/rivets';
import { flushMethod } from './flush-method';
import { flushPath } from './flush-path';

const GAUGES = [0.016, 0.02, 0.025, 0.032, 0.04, 0.05, 0.063, 0.071, 0.09, 0.125];
describe('the flush rule as it is walked', () => {
  it('ends where the rule ends, for every pair and triple of gauges and every size', () => {
    let walked = 0;
    for (const dash of DASHES)
      for (const top of GAUGES)
        for (const mid of GAUGES)
          for (const low of [null, 0.025, 0.063]) {
            const sheetsIn = low === null ? [top, mid] : [top, mid, low];
            const { method } = resultOf(flushMethod({ sheetsIn, dash }));
            expect(flushPath(sheetsIn, dash).at(-1)?.leads, `${sheetsIn.join()} ${dash}`).toBe(
              method
            );
            walked += 1;
          }
    expect(walked).toBe(1500);
  });

  it.each([
    [
      [0.063, 0.04],
      [
        { ask: 'top-thick', limitIn: 0.04 },
        { ask: 'head-within', proudIn: 0.002 }
      ]
    ],
    [
      [0.02, 0.02],
      [
        { ask: 'top-thick', limitIn: 0.04 },
        { ask: 'stack-thin', limitIn: 0.04 }
      ]
    ],
    [
      [0.025, 0.032],
      [
        { ask: 'top-thick', limitIn: 0.04 },
        { ask: 'stack-thin', limitIn: 0.04 },
        { ask: 'thick-beneath', limitIn: 0.04 },
        { ask: 'stack-under', limitIn: 0.09 }
      ]
    ],
    [
      [0.025, 0.032, 0.071],
      [
        { ask: 'top-thick', limitIn: 0.04 },
        { ask: 'stack-thin', limitIn: 0.04 },
        { ask: 'thick-beneath', limitIn: 0.04 },
        { ask: 'dimpled-under', limitIn: 0.09 },
        { ask: 'cut-within', sheet: 3 }
      ]
    ]
  ])('asks of %j in its order', (sheetsIn, questions) => {
    expect(flushPath(sheetsIn, 4).map(({ question }) => question)).toEqual(questions);
  });

  it('names the thickest beneath where none is thick', () => {
    expect(flushPath([0.036, 0.02, 0.025], 4).map(({ numbers }) => notation(numbers))[2]).toBe(
      'thickest beneath 0.025 ≤ 0.04'
    );
  });

  it('shows each question with its numbers', () => {
    expect(
      flushPath([0.025, 0.071], 4).map(({ numbers, yes }) => [notation(numbers), yes])
    ).toEqual([
      ['0.025 < 0.04', false],
      ['0.096 > 0.04', false],
      ['sheet 2: 0.071 > 0.04', true],
      ['0.025 < 0.09', true],
      // 0.042 + 0.305407 × 0.025
      ['head 0.042 + nest 0.007635 = 0.049635 ≤ 0.071', true]
    ]);
    expect(flushPath([0.05, 0.02], 5).map(({ numbers }) => notation(numbers))).toEqual([
      '0.05 ≥ 0.04',
      'head 0.055 > 0.05 + 0.002'
    ]);
  });
});
