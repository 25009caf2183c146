import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { DEFAULT_PROFILE } from '../rules/profile';
import { substitutions } from './substitutions';
import { inInches, substitutionInWords } from '../../../tests/support/words';

function asked(change = {}) {
  const joint = definition('lap', ['0.040', '0.040'], { widthIn: '8', dash: 4, ...change });
  const plan = planned(joint);
  const [stack] = plan.stacks;
  if (!stack) throw new Error('a stack');
  const list = substitutions({ joint, plan, stack, profile: DEFAULT_PROFILE });
  const line = (key: string, label: string) =>
    list
      .find((other) => other.key === key)
      ?.lines.map(({ said, ...line }) => ({ ...line, ...substitutionInWords(said, inInches) }))
      .find((one) => one.label === label);
  return { list, line };
}

describe('another rivet in place of the planned one', () => {
  const { list, line } = asked();

  it('offers sizes beside it, the other head, the other alloys, and a blind fastener', () => {
    expect(list.map(({ key }) => key)).toEqual([
      'up',
      'down',
      'head',
      'alloy-A',
      'alloy-D',
      'alloy-DD',
      'alloy-B',
      'alloy-E',
      'blind'
    ]);
  });

  it('compares the weaker of shear and bearing', () => {
    // AD: 30,000 × π/4 × 0.1285² = 389; dash 5: × (0.159/0.1285)²; edge 9/32
    expect(line('up', 'Strength per rivet')).toMatchObject({
      now: '389 lb, shear',
      then: '596 lb, shear',
      ratio: expect.closeTo((0.159 / 0.1285) ** 2, 9) as number,
      level: 'same'
    });
    expect(line('down', 'Strength per rivet')).toMatchObject({
      ratio: expect.closeTo((0.096 / 0.1285) ** 2, 9) as number,
      level: 'stop'
    });
    expect(line('alloy-B', 'Strength per rivet')?.ratio).toBeCloseTo(28 / 30, 9);
    // DD would take 532 lb in shear; the 0.040 sheet bears 119,000 × 0.1285 × 0.04 = 612
    expect(line('alloy-DD', 'Strength per rivet')).toMatchObject({ then: '532 lb, shear' });
  });

  it('says what no longer fits', () => {
    expect(line('up', 'Edge distance')).toMatchObject({
      now: expect.stringMatching(/^0\.281[23] in there$/) as string,
      then: 'at least 0.3125 in',
      level: 'stop'
    });
    expect(line('down', 'Edge distance')?.level).toBe('same');
    // 2.5 D for a flush head
    expect(line('head', 'Edge distance')).toMatchObject({
      then: 'at least 0.3125 in',
      level: 'stop'
    });
    expect(line('alloy-A', 'Use')).toMatchObject({ then: 'non-structural only', level: 'stop' });
  });

  it('tells of cold handling', () => {
    expect(line('alloy-D', 'Handling')).toMatchObject({
      now: 'as received',
      then: expect.stringContaining('within 1 hour') as string,
      level: 'note'
    });
    expect(line('alloy-E', 'Handling')?.level).toBe('same');
  });

  it('makes the joint with what is chosen, a blind fastener excepted', () => {
    const change = (key: string) => list.find((other) => other.key === key)?.change;
    expect(change('up')).toEqual({ dash: 5 });
    expect(change('head')).toEqual({ head: 'countersunk' });
    expect(change('alloy-DD')).toEqual({ alloy: 'DD' });
    expect(change('blind')).toBeNull();
  });

  it('refuses a flush head that the stack has no method for', () => {
    const thick = asked({ dash: 8, edgeIn: '0.8' });
    expect(thick.line('head', 'Stack-up')).toMatchObject({
      then: 'no standard flush method',
      level: 'stop'
    });
  });
});
