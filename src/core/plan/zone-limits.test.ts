import { describe, expect, it } from 'vitest';
import { definition, layoutOf, planned } from '../../../tests/support/joints.ts';
import { stops } from '../../../tests/support/words.ts';

const member = (change: object) =>
  definition('tapered', ['0.063', '0.090'], {
    carries: 'attach',
    lengthIn: '30',
    flangeIn: '2',
    flangeEndIn: '2',
    dash: 5,
    scale: 'exact',
    zones: [{ id: 'z', dash: 8, toIn: '15' }],
    ...change
  });

describe('limits of a zone', () => {
  it('keep its own heads clear of what is in the way, not those of the joint’s size', () => {
    // a bolt on the line: a hole stays half its head and the tool's clearance away
    const bolt = (x: string, id: string) => ({
      ...{ id, name: 'bolt', shape: 'round' as const, xIn: x, yIn: '1', wIn: '1/2', hIn: '' }
    });
    const joint = member({ keepOuts: [bolt('7', 'a'), bolt('22', 'b')], toolClearanceIn: '1/8' });
    const { holes } = layoutOf(joint);
    const nearest = (xIn: number) => Math.min(...holes.map((hole) => Math.abs(hole.xIn - xIn)));
    // universal heads are 2 D wide: dash 8 1/2 in, dash 5 5/16 in
    expect(nearest(7)).toBeGreaterThanOrEqual(1 / 4 + 1 / 8 + 1 / 4 - 1e-9);
    expect(nearest(22)).toBeGreaterThanOrEqual(1 / 4 + 1 / 8 + 5 / 32 - 1e-9);
    // solid heads of both sizes keep their own distance; what else it says is of its sheets
    expect(layoutOf(joint).checks.filter(({ ok }) => !ok)).toEqual([]);
    // the other way round a small head may come nearer than a large one could
    const small = definition('tapered', ['0.063', '0.090'], {
      ...{ carries: 'attach' as const, lengthIn: '30', flangeIn: '2', flangeEndIn: '2' },
      ...{ dash: 8 as const, scale: 'exact' as const },
      zones: [{ id: 'z', dash: 4, toIn: '15' }],
      keepOuts: [bolt('22', 'b')],
      toolClearanceIn: '1/8',
      edits: []
    });
    const { checks } = layoutOf(small);
    expect(checks.filter(({ rule, ok }) => rule === 'keep-out' && !ok)).toEqual([]);
    const there = layoutOf(small).holes.map((hole) => Math.abs(hole.xIn - 22));
    expect(Math.min(...there)).toBeGreaterThanOrEqual(1 / 4 + 1 / 8 + 1 / 4 - 1e-9);
  });

  it('take a largest pitch that the job gives as a length, whatever the size', () => {
    const { holes, checks } = layoutOf(member({ holdPitchIn: '1 1/2' }));
    const xs = holes.map(({ xIn }) => xIn).sort((a, b) => a - b);
    const gaps = xs.slice(1).map((xIn, at) => xIn - (xs[at] ?? 0));
    expect(Math.max(...gaps)).toBeLessThanOrEqual(1.5 + 1e-9);
    // 14 1/2 in and 14 1/4 in at 1 1/2 in are ten spaces each; scaled by D dash 8 would have had five
    expect(gaps.length).toBeGreaterThanOrEqual(19);
    expect(checks.filter(({ ok }) => !ok)).toEqual([]);
  });
});

describe('the bend beside a line', () => {
  it('is held against each hole, one that lies off the line too', () => {
    const flange = (offIn: string) =>
      definition('line', ['0.040', '0.040'], {
        carries: 'attach',
        lengthIn: '10',
        flangeIn: '1',
        bendRadiusIn: '1/8',
        dash: 4,
        scale: 'exact',
        fixed: [
          { id: 'f', kind: 'existing', name: 'old hole', line: 'line-1', atIn: '4', offIn }
        ] as never
      });
    const bend = (offIn: string) =>
      layoutOf(flange(offIn)).checks.find(({ rule }) => rule === 'bend-clear');
    expect(bend('0')).toMatchObject({ ok: true });
    const near = bend('5/16');
    expect(near).toMatchObject({ ok: false });
    expect(near?.holes).toHaveLength(1);
    expect(stops(planned(flange('5/16')))).toContain('Heads or tools interfere with the bend');
  });
});

describe('an insert’s rounded corner', () => {
  const patch = (change: object) =>
    definition('patch', ['0.040', '0.040'], {
      ...{ carries: 'attach' as const, dash: 4 as const, cutoutWIn: '5', cutoutHIn: '4' },
      ...change
    });
  const corner = (change: object) =>
    layoutOf(patch(change)).checks.filter(({ rule }) => rule.startsWith('insert-corner'));

  it('is held against the marks: told while it is over one D, and a stop under it', () => {
    // insert radius 1/4 − 1/32 under the edge distance: the straight edges are nearer
    expect(corner({ cornerRadiusIn: '1/4', scale: 'exact' })).toEqual([]);
    const [told, ...more] = corner({ cornerRadiusIn: '1/2', scale: 'exact' });
    expect(more).toEqual([]);
    // radius 15/32 in, edge 9/32 in: 15/32 − √2 × 6/32
    expect(told).toMatchObject({ rule: 'insert-corner', ok: false });
    expect(told?.valueIn).toBeCloseTo(15 / 32 - Math.SQRT2 * (6 / 32), 9);
    // as computed it is told already, with ways out: once
    const said = planned(patch({ cornerRadiusIn: '1/2', scale: 'exact' })).warnings.filter(
      ({ said: { code } }) => code === 'insert-corner' || code === 'limit'
    );
    expect(said.map(({ level }) => level)).toEqual(['attention']);
    // under 1/8 as computed
    const refused = planned(patch({ cornerRadiusIn: '1', scale: 'exact' }));
    expect(refused.layout.ok).toBe(false);
    // 0.150 in as computed; on a ruler of tenths the mark at 0.9375 in lies at 0.9, nearer both ways: 0.097 in
    const near = { cornerRadiusIn: '27/32', edgeIn: '9/32', insertEdgeIn: '11/32', scale: '0.1' };
    const onRuler = corner(near);
    expect(onRuler.map(({ rule, limitIn }) => [rule, limitIn])).toContainEqual([
      'insert-corner-least',
      1 / 8
    ]);
  });
});
