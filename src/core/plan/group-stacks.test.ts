import { describe, expect, it } from 'vitest';
import { newSheet } from '../joint/sheets';
import { definition, planned } from '../../../tests/support/joints';

describe('groups of rivets', () => {
  it('leave held-open holes out of the count and keep their stack', () => {
    const plan = planned(
      definition('line', ['0.032', '0.040'], {
        carries: 'attach',
        dash: 4,
        lengthIn: '10',
        flangeIn: '1',
        bendRadiusIn: '1/8',
        edits: [
          {
            id: 'edit-1',
            line: 'line-1',
            index: 2,
            of: 8,
            state: 'held-open',
            nudgeIn: '',
            reason: 'latch',
            drill: '',
            asRivets: false,
            blind: '',
            blindLeastIn: '',
            blindMostIn: ''
          }
        ]
      })
    );
    expect(plan.stacks.map(({ rivets }) => rivets)).toEqual([7]);
    expect(plan.holes).toHaveLength(8);
    expect(plan.holes[2]?.stack).toBe(0);
  });

  it('are told by their holes where layers change the length', () => {
    const plan = planned(
      definition('tapered', ['', ''], {
        sheets: [
          newSheet('skin', '0.032'),
          { ...newSheet('doubler', '0.063'), toIn: '5' },
          newSheet('flange', '0.040')
        ],
        lengthIn: '10',
        flangeIn: '1',
        carries: 'attach',
        dash: 4
      })
    );
    // 0.135 and 0.072 in grip: 0.3225 → 10.3/32 and 0.2595 → 8.3/32
    expect(plan.stacks.map(({ length }) => length.ok && length.result.partNumber)).toEqual([
      'MS20470AD4-5',
      'MS20470AD4-4'
    ]);
    expect(plan.stacks[0]?.name).toMatch(/^holes 1–\d+$/);
  });
});
