import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { markRows } from '../exchange/mark-rows';
import { patternOf } from '../exchange/pattern';
import { DEFAULT_PROFILE } from '../rules/profile';
import { flushWorks } from './flush-work';

const line = (open: { drill: string; asRivets: boolean }) =>
  definition('line', ['0.063', '0.040'], {
    carries: 'attach',
    dash: 4,
    head: 'countersunk',
    lengthIn: '10',
    flangeIn: '1',
    bendRadiusIn: '1/8',
    edits: [
      {
        blind: '',
        blindLeastIn: '',
        blindMostIn: '',
        id: 'e',
        line: 'line-1',
        index: 1,
        of: 8,
        state: 'held-open',
        nudgeIn: '',
        reason: 'drain',
        ...open
      }
    ]
  });

describe('a hole that is not this rivet’s', () => {
  it('is not countersunk with the rivet’s cutter unless told', () => {
    const holesOf = (joint: ReturnType<typeof line>) =>
      flushWorks(joint, planned(joint), DEFAULT_PROFILE).flatMap(({ holes }) =>
        holes.map(({ number }) => number)
      );
    expect(holesOf(line({ drill: '#19', asRivets: false }))).not.toContain(2);
    expect(holesOf(line({ drill: '#19', asRivets: true }))).toContain(2);
  });

  it('stands in files with its own drill, or at the pilot', () => {
    const fileOf = (drill: string) => {
      const plan = planned(line({ drill, asRivets: false }));
      if (!plan.layout.ok) throw new Error('laid');
      const circle = patternOf({
        layout: plan.layout.result,
        profile: DEFAULT_PROFILE,
        fixed: [],
        part: null
      }).strokes.find((stroke) => stroke.layer === 'HELD_OPEN' && stroke.stroke === 'circle');
      return {
        drill: markRows({
          layout: plan.layout.result,
          stacks: plan.stacks,
          profile: DEFAULT_PROFILE,
          unit: 'in',
          fixed: [],
          warningOf: () => ''
        })[1]?.drill,
        radiusIn: circle?.stroke === 'circle' ? circle.radiusIn : NaN
      };
    };
    expect(fileOf('#19')).toEqual({ drill: '#19', radiusIn: 0.083 });
    expect(fileOf('f')).toEqual({ drill: 'F', radiusIn: 0.1285 });
    expect(fileOf('5 mm')).toMatchObject({ drill: '5 mm' });
    expect(fileOf('')).toEqual({ drill: '#40', radiusIn: 0.049 });
    expect(() => line({ drill: '#77', asRivets: false })).toThrow(/number or letter/);
  });
});
