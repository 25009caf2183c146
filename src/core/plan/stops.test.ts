import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { patternOf, withCaptions } from '../exchange/pattern';
import { cageTasks } from '../prepare/cage/tasks';
import { readyPlan } from '../prepare/ready-plan';
import { STARTING_FIGURES } from '../prepare/shop-figures';
import { DEFAULT_PROFILE } from '../rules/profile';
import { drawingStop, stopsOf } from './stops';

const ready = (joint: Parameters<typeof planned>[0]) =>
  readyPlan(joint, planned(joint), DEFAULT_PROFILE, STARTING_FIGURES, []);

describe('what stops a joint', () => {
  const flush = (thick: string[], dash: 4 | 5) =>
    definition('line', thick, {
      carries: 'attach',
      head: 'countersunk',
      lengthIn: '10',
      flangeIn: '1',
      bendRadiusIn: '1/8',
      dash
    });
  // a dash 5 head is 0.055 high: in 0.040 it leaves a knife edge
  const knife = flush(['0.040', '0.040'], 5);

  it('leaves no step, no cage to set and no pattern of a flush lap with a knife edge', () => {
    const plan = planned(knife);
    expect(stopsOf(plan).map(({ said }) => said.code)).toContain('knife-edge');
    expect(ready(knife)).toMatchObject({ steps: [], holders: null });
    expect(ready(knife).stops).toEqual(stopsOf(plan));
    expect(cageTasks(knife, plan, DEFAULT_PROFILE)).toEqual([]);
    expect(drawingStop(plan)?.said.code).toBe('knife-edge');
  });

  it('gives steps again once it is mended', () => {
    const mended = flush(['0.063', '0.040'], 4);
    expect(stopsOf(planned(mended))).toEqual([]);
    expect(ready(mended).steps.map(({ said }) => said.op)).toContain('countersink');
  });

  it('is drawn with a layout that breaks a limit, and orders nothing', () => {
    // the third layer begins 0.05 before the hole at 3.000
    const layers = definition('lap', ['0.032', '0.040', '0.040'], { widthIn: '6', dash: 4 });
    const [, , third] = layers.sheets;
    if (!third) throw new Error('three sheets');
    const near = {
      ...layers,
      sheets: layers.sheets.map((one) => (one === third ? { ...one, fromIn: 2.95 } : one))
    };
    const plan = planned(near);
    expect(drawingStop(plan)).toBeNull();
    expect(ready(near).steps).toEqual([]);
    if (!plan.layout.ok) throw new Error('laid');
    const bare = patternOf({
      layout: plan.layout.result,
      profile: DEFAULT_PROFILE,
      fixed: [],
      part: null
    });
    const { strokes, hIn } = withCaptions(bare, [
      { layer: 'WARNINGS', text: 'STOP: a limit is broken' }
    ]);
    expect(strokes).toContainEqual(
      expect.objectContaining({ layer: 'WARNINGS', text: 'STOP: a limit is broken' })
    );
    expect(hIn).toBeGreaterThan(bare.hIn);
  });
});
