import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { gaugeOfMetric } from '../catalog/gauges';
import { rivetsRequired } from './rivets-required';

describe('a metric sheet in guidance made for gauges', () => {
  it.each([
    [0.5, 0.02],
    [0.8, 0.032],
    [1, 0.04],
    [1.6, 0.063],
    [2, 0.08],
    // between gauges: its own
    [0.7, null],
    [1.2, null],
    [3, null]
  ])('of %s mm is %s', (mm, gaugeIn) => expect(gaugeOfMetric(mm / 25.4)).toBe(gaugeIn));

  it('is no other one: a gauge is itself, and so is what is thicker', () => {
    expect(gaugeOfMetric(0.032)).toBeNull();
    expect(gaugeOfMetric(0.0325)).toBeNull();
    expect(gaugeOfMetric(0.031)).toBeNull();
  });

  it('takes the gauge’s count, and its largest rivet, with a note', () => {
    const plan = planned(
      definition('lap', ['0.8 mm', '0.8 mm'], { dash: 6, widthIn: '10', location: 'general' })
    );
    // worked case: 0.032, dash 6, 10 in: 33
    expect(plan.required).toMatchObject({ ok: true, result: { required: 33, asGaugeIn: 0.032 } });
    expect(plan.warnings.filter(({ said }) => said.code === 'as-gauge')).toMatchObject([
      { level: 'note', said: { gaugeIn: 0.032 } }
    ]);
    // the calculation itself is asked of a thickness, and answers for that
    expect(
      rivetsRequired({
        family: 'clad-2024',
        thicknessIn: 0.8 / 25.4,
        dash: 6,
        widthIn: 10,
        location: 'general',
        head: 'universal'
      })
    ).toMatchObject({ ok: false, error: { said: { code: 'rivet-too-large' } } });
    const inches = planned(definition('lap', ['0.032', '0.032'], { dash: 6, widthIn: '10' }));
    expect(inches.warnings.some(({ said }) => said.code === 'as-gauge')).toBe(false);
  });
});
