import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { FLANGE, stepsOf } from '../../../tests/support/steps';
import { stops } from '../../../tests/support/words';

describe('parts that stay together', () => {
  it('are never taken apart, and their steps say what becomes of chips and burrs', () => {
    const closed = { ...FLANGE, closed: true, closedReason: 'repair sheet QR-7' };
    const steps = stepsOf('line', ['0.032', '0.040'], closed);
    expect(steps.map(({ op }) => op)).toEqual([
      'clamp',
      'punch',
      'pilot',
      'holder',
      'upDrill',
      'chips',
      'deburr',
      'edges',
      'clean',
      'prime'
    ]);
    // 8 holes, their two outer faces; a holder in every second hole
    expect(steps.find(({ op }) => op === 'deburr')).toMatchObject({
      count: 16,
      say: expect.stringContaining('Between the sheets the burr stays') as string
    });
    expect(steps.find(({ op }) => op === 'holder')?.say).toContain('every second hole');
    const stopsOfClosed = (change: object, thick = ['0.032', '0.040']) =>
      stops(planned(definition('line', thick, { ...closed, ...change } as never)));
    expect(stopsOfClosed({})).toEqual([]);
    expect(stopsOfClosed({ closedReason: ' ' })).toEqual([
      'Chips and burrs would stay between the parts'
    ]);
    expect(stopsOfClosed({ head: 'countersunk' }, ['0.032', '0.036'])).toEqual([
      'Sheets that stay together cannot be dimpled one by one'
    ]);
    expect(
      stops(
        planned(
          definition('panel', ['0.040', '0.125', '0.050'], {
            widthIn: '20',
            heightIn: '12',
            frameIn: '1',
            dash: 4,
            closed: true,
            closedReason: 'QR-7'
          })
        )
      )
    ).toEqual(['Clear panel must be disassembled']);
  });
});
