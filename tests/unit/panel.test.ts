import { describe, expect, it } from 'vitest';
import { definition, planned } from '../support/joints.ts';
import { refusal, stops, written } from '../support/words.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { readyPlan } from '../../src/core/prepare/ready-plan.ts';
import { stepInWords } from '../../src/lib/words/ready-steps.ts';
import { inInches } from '../../src/lib/words/writing.ts';

const window = (change = {}) =>
  definition('panel', ['0.040', '0.187', '0.050'], {
    dash: 4,
    widthIn: '17 1/2',
    heightIn: '11 1/4',
    frameIn: '1 1/4',
    deltaTC: '55',
    ...change
  });
const laid = (change = {}) => {
  const plan = planned(window(change));
  if (!plan.layout.ok) throw new Error(refusal(plan.layout.error));
  return { plan, layout: plan.layout.result };
};
const SHOP = { holders: { every: 4, pilot: 99, final: 99 }, times: {} };

describe('a solid rivet through plastic', () => {
  it('stops the joint until it is written how, and by whose word', () => {
    const stopped = planned(window({ plasticReason: '  ' }));
    expect(stops(stopped)).toContain('A solid rivet swells in the plastic’s hole and cracks it');
    const chosen = planned(window({ plasticReason: 'sleeves, sheet QR-3' }));
    expect(stops(chosen)).toEqual([]);
    expect(written(chosen).map(({ text }) => text)).toContain(
      'Written choice: sleeves, sheet QR-3.'
    );
  });
});

describe('a frame round a clear panel', () => {
  it('lays a side as it was typed, one in the middle too, and judges it', () => {
    // past corner brackets no rivet lies on two sides
    const { layout } = laid({ topCount: '1', bottomCount: '3', bracketIn: '1' });
    const on = (key: string) => layout.lines.find((line) => line.key === key)?.holes ?? [];
    expect(on('top')).toHaveLength(1);
    expect(layout.holes.find(({ number }) => number === on('top')[0])?.xIn).toBeCloseTo(8.75, 9);
    // one by itself is 7.75 − edge from where the end rivets would be: far over 1.5
    const alone = laid({ topCount: '1', bracketIn: '1' }).layout.checks.filter(
      ({ rule, ok }) => rule === 'pitch-max' && !ok
    );
    expect(alone).toHaveLength(1);
    expect(alone[0]?.valueIn).toBeGreaterThan(7);
    // three over 17 1/2 stand over 12 × 1/8 apart: laid so, and said
    expect(on('bottom')).toHaveLength(3);
    const wide = layout.checks.find(({ rule, holes }) => rule === 'pitch-max' && holes.length > 0);
    expect(wide).toMatchObject({ ok: false, limitIn: 1.5 });
    expect(wide?.holes).toEqual(expect.arrayContaining(on('bottom').slice(1)));
  });

  it('counts the rivets of a side with its corners, however many they are', () => {
    const { layout: all } = laid({
      topCount: '1',
      bottomCount: '1',
      leftCount: '1',
      rightCount: '1'
    });
    expect(all.rivets).toBe(4);
    const two = laid({ topCount: '2', bottomCount: '2', leftCount: '2', rightCount: '2' });
    expect(two.layout.rivets).toBe(4);
    const three = laid({ topCount: '3', bottomCount: '3', leftCount: '3', rightCount: '3' });
    expect(three.layout.rivets).toBe(8);
    // one in the middle between two corners would be three: said, and what to enter
    const { layout } = planned(window({ topCount: '1', leftCount: '3' }));
    expect(layout.ok ? '' : refusal(layout.error)).toMatch(/one rivet on the top side .* enter 3/);
    // the sides beside it are spaced by themselves: they have their corners too
    expect(planned(window({ leftCount: '1' })).layout.ok).toBe(false);
  });

  it('goes as far apart as the job says, since it only holds', () => {
    const { layout } = laid({ bottomCount: '3', holdPitchIn: '9' });
    const wide = layout.checks.find(({ rule }) => rule === 'pitch-max');
    expect(wide).toMatchObject({ ok: true, limitIn: 9 });
    // and the fewest are fewer: 10 in of a side need two holes only where 9 in apart are enough
    expect(laid({ holdPitchIn: '9' }).layout.rivets).toBeLessThan(laid().layout.rivets);
  });

  it('asks whose largest pitch it is, and says so where the shop’s is nearer', () => {
    const said = (change: object) => {
      const plan = planned(window(change));
      return plan.warnings.filter(({ said: { code } }) => code.startsWith('own-pitch'));
    };
    expect(said({ holdPitchReason: 'Sheet 7' })).toEqual([]);
    expect(said({ holdPitchIn: '2', holdPitchReason: ' ' })).toMatchObject([
      { level: 'stop', said: { code: 'own-pitch-unsaid', pitchIn: 2 } }
    ]);
    expect(said({ holdPitchIn: '2', holdPitchReason: 'Sheet 7' })).toMatchObject([
      { level: 'attention', said: { reference: 'Sheet 7', shopIn: 1.5 } }
    ]);
    expect(said({ holdPitchIn: '1', holdPitchReason: 'Sheet 7' })[0]?.level).toBe('note');
  });

  it('is never flush, and says what a solid rivet does to plastic', () => {
    const plan = planned(window({ head: 'countersunk' }));
    expect(plan.layout.ok ? '' : refusal(plan.layout.error)).toMatch(/never countersunk/);
    expect(written(laid().plan).map(({ title }) => title)).toContain(
      'A solid rivet swells in the plastic’s hole and cracks it'
    );
  });

  it('is taken apart before its holes are opened, in the panel alone; no primer, no solvent on it', () => {
    const { plan } = laid();
    const { steps } = readyPlan(window(), plan, DEFAULT_PROFILE, SHOP as never, []);
    const order = steps.map(({ said }) => said.op);
    const at = (op: (typeof order)[number]) => order.indexOf(op);
    expect(
      order.filter((op) => ['film', 'pilot', 'part', 'growth', 'upDrill'].includes(op))
    ).toEqual(['film', 'pilot', 'part', 'growth', 'upDrill']);
    expect(at('prime')).toBeGreaterThan(at('growth'));
    const prime = steps[at('prime')];
    // frame and strip, not the plastic
    expect(prime?.count).toBe(2);
    expect(prime && stepInWords(prime, inInches).say).toMatch(/never the clear panel/);
    const clean = steps[at('clean')];
    expect(clean && stepInWords(clean, inInches).say).toMatch(/solvent crazes it/);
  });
});
