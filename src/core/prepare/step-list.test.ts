import { describe, expect, it } from 'vitest';
import { counts, FLANGE, stepsOf } from '../../../tests/support/steps';
import { newSheet } from '../joint/sheets';
import { DEFAULT_PROFILE } from '../rules/profile';

describe('steps before the first rivet', () => {
  it('count what a plain row takes, a held-open hole drilled to its own size', () => {
    const steps = stepsOf('line', ['0.032', '0.040'], {
      ...FLANGE,
      edits: [
        {
          id: 'edit-2',
          line: 'line-1',
          index: 2,
          of: 8,
          state: 'held-open',
          nudgeIn: '',
          reason: 'latch',
          drill: '#11',
          asRivets: false,
          blind: '',
          blindLeastIn: '',
          blindMostIn: ''
        }
      ]
    });
    // 8 holes, 2 sheets: 8 × 2 × 2 sides to deburr; holders at 1, 5, 8, then 2 and 6
    expect(counts(steps)).toEqual({
      clamp: 2,
      punch: 8,
      pilot: 8,
      holder: 5,
      'upDrill-4': 7,
      'openDrill-#11': 1,
      part: 2,
      chips: 2,
      deburr: 32,
      edges: 2,
      clean: 2,
      prime: 2,
      reassemble: 2
    });
    expect(steps.find(({ key }) => key === 'openDrill-#11')).toMatchObject({
      tool: '#11',
      setting: '0.191 in',
      holes: [3]
    });
    expect(steps.find(({ key }) => key === 'upDrill-4')).toMatchObject({
      tool: '#30',
      // 0.032 + 0.040 + 1/32 = 0.10325
      setting: '0.1285 in; a step drill’s stop 0.1033 in behind where its full size begins',
      work: expect.arrayContaining([
        expect.objectContaining({
          label: 'step-drill stop',
          value: expect.closeTo(0.10325) as number
        })
      ]) as unknown
    });
    // 8 × 12 s
    expect(steps.find(({ key }) => key === 'pilot')?.minutes).toBeCloseTo(1.6, 12);
  });

  it('count the sheets at each hole where a layer ends', () => {
    const steps = stepsOf('line', ['', ''], {
      ...FLANGE,
      sheets: [
        newSheet('skin', '0.032'),
        { ...newSheet('doubler', '0.063'), toIn: '5' },
        newSheet('flange', '0.040')
      ]
    });
    // 4 holes through three sheets, 4 through two
    expect(counts(steps)['deburr']).toBe(2 * (4 * 3 + 4 * 2));
  });

  it('do not up-drill what the pilot finishes', () => {
    expect(counts(stepsOf('line', ['0.020', '0.025'], { ...FLANGE, dash: 3 }))).not.toHaveProperty(
      'upDrill-3'
    );
  });

  it('begin with holes that must match, and do not punch or pilot those', () => {
    const steps = stepsOf('line', ['0.032', '0.040'], {
      ...FLANGE,
      fixed: [
        {
          id: 'fixed-1',
          kind: 'existing',
          line: 'line-1',
          name: 'stringer 4',
          atIn: '5',
          offIn: '',
          state: '',
          holeIn: ''
        }
      ]
    });
    const holes = steps.find(({ key }) => key.startsWith('upDrill'))?.count ?? 0;
    expect(steps[0]).toMatchObject({
      op: 'match',
      count: 1,
      say: expect.stringContaining('stringer 4') as string
    });
    expect(counts(steps)['punch']).toBe(holes - 1);
  });

  it('relieve the corners and cut out by the sheet’s thickness', () => {
    const patch = {
      cutoutWIn: '3',
      cutoutHIn: '2 1/2',
      cornerRadiusIn: '1/2',
      dash: 4,
      carries: 'attach'
    } as const;
    const [relief, cutOut] = stepsOf('patch', ['0.032', '0.040'], patch);
    expect(relief).toMatchObject({
      op: 'relief',
      count: 4,
      tool: '#40, then a step drill or a hole saw',
      setting: '1 in; mark that step of the drill with tape'
    });
    // 2 × 5.5 − (8 − 2π) × ½ = 10.14 in round
    expect(cutOut).toMatchObject({
      op: 'cutOut',
      count: 11,
      tool: expect.stringContaining('nibbler') as string
    });
    const thick = stepsOf('patch', ['0.063', '0.071'], { ...patch, dash: 5 });
    expect(thick.find(({ op }) => op === 'cutOut')?.tool).toBe('router along a guide');
    // a round one needs somewhere to start, and a tool of its size
    const round = (cutoutIn: string) =>
      stepsOf('round', ['0.032', '0.040'], { cutoutIn, dash: 4, carries: 'attach' }).find(
        ({ op }) => op === 'cutOut'
      );
    expect(round('2 3/8')?.say).toMatch(/starting hole inside the ring/);
    expect(round('2 3/8')?.tool).toMatch(/^hole saw/);
    expect(round('4 1/4')?.tool).toMatch(/^too large for a hole saw/);
  });

  it('dimple each sheet, or countersink with pilot and depth', () => {
    const lap = {
      widthIn: '6',
      dash: 4,
      head: 'countersunk',
      perInch: '2',
      perInchReason: 'own'
    } as const;
    const dimpled = stepsOf('lap', ['0.025', '0.032'], lap).filter(({ op }) => op === 'dimple');
    expect(dimpled.map(({ tool, count }) => [tool, count])).toEqual([
      ['punch 100°, die 110°', 12],
      ['punch 110°, die 120°', 12]
    ]);
    const cut = stepsOf('lap', ['0.063', '0.040'], lap).find(({ op }) => op === 'countersink');
    expect(cut).toMatchObject({
      tool: '100° cutter, pilot #30',
      setting: '0.041 in deep: flushness +0.001 in (0 to +0.002 in), never deeper than 0.042 in',
      caution: expect.stringContaining('air') as string
    });
  });

  it('leave sheets that the rivet itself dimples to the driving', () => {
    const steps = stepsOf('lap', ['0.020', '0.020'], {
      widthIn: '6',
      head: 'countersunk',
      perInch: '2',
      perInchReason: 'own',
      dash: 3
    });
    expect(steps.filter(({ op }) => op === 'dimple')).toEqual([]);
    expect(steps.at(-1)?.say).toMatch(/^.*12 holes are not dimpled yet: the rivet itself/);
  });

  it('countersink before the parts come apart where the shop does, but nothing beneath a dimple', () => {
    const lap = { widthIn: '6', dash: 4, head: 'countersunk', perInch: '2', perInchReason: 'own' };
    const order = (thick: string[]) =>
      stepsOf('lap', thick, lap as never, { ...DEFAULT_PROFILE, countersinkWhen: 'clamped' }).map(
        ({ op }) => op
      );
    const cut = order(['0.063', '0.040']);
    expect(cut.indexOf('countersink')).toBe(cut.indexOf('upDrill') + 1);
    expect(cut.indexOf('countersink')).toBeLessThan(cut.indexOf('part'));
    // 12 holes through two sheets have 48 sides, 12 of them cut already: deburring would make those deeper
    const [clamped, apart] = (['clamped', 'apart'] as const).map((countersinkWhen) =>
      stepsOf('lap', ['0.063', '0.040'], lap as never, {
        ...DEFAULT_PROFILE,
        countersinkWhen
      }).find(({ op }) => op === 'deburr')
    );
    expect(clamped).toMatchObject({
      count: 36,
      title: 'Deburr every hole, both sides, every sheet, but not in the countersinks'
    });
    expect(apart).toMatchObject({
      count: 48,
      title: 'Deburr every hole, both sides, every sheet'
    });
    const nested = order(['0.032', '0.090']);
    expect(nested.indexOf('countersink')).toBeGreaterThan(nested.indexOf('deburr'));
  });

  it('open the clear panel’s holes with their own drill', () => {
    const steps = stepsOf('panel', ['0.040', '0.125', '0.050'], {
      widthIn: '20',
      heightIn: '12',
      frameIn: '1',
      dash: 4
    });
    const growth = steps.find(({ op }) => op === 'growth');
    expect(growth?.count).toBe(steps.find(({ op }) => op === 'punch')?.count);
    expect(growth?.say).toContain('clear panel');
  });
});
