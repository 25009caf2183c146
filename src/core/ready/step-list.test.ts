import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { inInches, stepInWords, stops } from '../../../tests/support/words';
import type { EnteredOf, JointKind } from '../kinds/joint';
import { newSheet } from '../joint/sheets';
import { DEFAULT_PROFILE } from '../rules/profile';
import { cuttingMethod } from './cutting-advice';
import { orientationMarks } from './orientation';
import { readyPlan } from './ready-plan';
import { STARTING_FIGURES } from './shop-figures';

function stepsOf<K extends JointKind>(
  kind: K,
  thick: string[],
  change: Partial<EnteredOf<K>> = {},
  profile = DEFAULT_PROFILE
) {
  const joint = definition(kind, thick, change);
  const plan = planned(joint, profile);
  // with their words as one reads them in inches
  return readyPlan(joint, plan, profile, STARTING_FIGURES, []).steps.map((step) => ({
    ...step,
    op: step.said.op,
    ...stepInWords(step, inInches)
  }));
}
const counts = (steps: ReturnType<typeof stepsOf>) =>
  Object.fromEntries(steps.map(({ key, count }) => [key, count]));

describe('steps before the first rivet', () => {
  const flange = {
    carries: 'attach',
    dash: 4,
    lengthIn: '10',
    flangeIn: '1',
    bendRadiusIn: '1/8'
  } as const;

  it('count what a plain row takes, a held-open hole drilled to its own size', () => {
    const steps = stepsOf('line', ['0.032', '0.040'], {
      ...flange,
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
          asRivets: false
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
      ...flange,
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
    expect(counts(stepsOf('line', ['0.020', '0.025'], { ...flange, dash: 3 }))).not.toHaveProperty(
      'upDrill-3'
    );
  });

  it('begin with holes that must match, and do not punch or pilot those', () => {
    const steps = stepsOf('line', ['0.032', '0.040'], {
      ...flange,
      fixed: [
        {
          id: 'fixed-1',
          kind: 'existing',
          line: 'line-1',
          name: 'stringer 4',
          atIn: '5',
          offIn: ''
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
      setting: '0.042 in deep',
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

  it('cut the doubler and the insert to their outlines and count them as parts', () => {
    const patch = { cutoutWIn: '3', cutoutHIn: '2 1/2', dash: 4, carries: 'attach' } as const;
    const steps = stepsOf('patch', ['0.032', '0.063'], patch);
    // edge 9/32: doubler 3 + 4 × 9/32 by 2.5 + 4 × 9/32; insert 1/16 smaller than the hole, corners ½ − 1/32
    const cuts = steps.filter(({ op }) => op === 'cutPart');
    expect(cuts.map(({ key, title, setting, tool }) => [key, title, setting, tool])).toEqual([
      [
        'cutPart-2',
        'Cut insert to its outline',
        '2.9375 in × 2.4375 in, corners of 0.46875 in radius',
        'hand nibbler, or snips for outside curves'
      ],
      ['cutPart-3', 'Cut doubler to its outline', '4.125 in × 3.625 in', 'router along a guide']
    ]);
    expect(steps.find(({ op }) => op === 'fit')).toMatchObject({
      title: 'File insert to fit',
      setting: '0.03125 in all round'
    });
    expect(steps.findIndex(({ op }) => op === 'fit')).toBeLessThan(
      steps.findIndex(({ op }) => op === 'punch')
    );
    for (const op of ['clamp', 'part', 'edges', 'clean', 'prime', 'reassemble'] as const)
      expect(steps.find((step) => step.op === op)?.count, op).toBe(3);
    // a plate has no insert, and lies over the skin: the cut is in the second sheet
    const plate = stepsOf('patch', ['0.032', '0.063'], { ...patch, style: 'plate-over' });
    expect(plate.filter(({ op }) => op === 'cutPart')).toHaveLength(1);
    expect(plate.find(({ op }) => op === 'cutOut')?.tool).toBe('router along a guide');
    expect(plate.find(({ op }) => op === 'edges')?.count).toBe(2);
  });

  it('count both ends of what is joined, and cut the straps', () => {
    const splice = stepsOf('splice', ['0.040', '0.050'], {
      widthIn: '6',
      dash: 4,
      perInch: '2',
      perInchReason: 'own'
    });
    expect(splice.find(({ op }) => op === 'edges')?.count).toBe(3);
    expect(splice.filter(({ op }) => op === 'cutPart')).toHaveLength(1);
    const straps = stepsOf('double-strap', ['0.040', '0.050', '0.040'], { widthIn: '1', dash: 4 });
    expect(straps.find(({ op }) => op === 'edges')?.count).toBe(4);
    expect(straps.filter(({ op }) => op === 'cutPart')).toHaveLength(2);
    // a doubler that begins further on is as much shorter: 6 − 2.99 long, 2 × (2 × 9/32) wide
    const short = stepsOf('splice', ['', ''], {
      widthIn: '6',
      dash: 4,
      perInch: '2',
      perInchReason: 'own',
      rows: 1,
      sheets: [
        newSheet('skin', '0.040'),
        newSheet('strap', '0.050'),
        { ...newSheet('doubler', '0.032'), fromIn: '2.99' }
      ]
    });
    expect(
      short.filter(({ op }) => op === 'cutPart').map(({ title, setting }) => [title, setting])
    ).toEqual([
      ['Cut strap to its outline', '6 in × 1.125 in'],
      ['Cut doubler to its outline', '3.01 in × 1.125 in']
    ]);
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
    const nested = order(['0.032', '0.090']);
    expect(nested.indexOf('countersink')).toBeGreaterThan(nested.indexOf('deburr'));
  });

  it('never take apart what cannot be, and say what becomes of chips and burrs', () => {
    const closed = { ...flange, closed: true, closedReason: 'repair sheet QR-7' };
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
    ).toEqual(['A clear panel must come apart']);
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

describe('advice', () => {
  it.each([
    [0.032, 'nibbler'],
    [0.04, 'snips'],
    [0.071, 'router'],
    [0.125, 'saw']
  ])('cuts %s in by', (thicknessIn, how) => {
    expect(cuttingMethod(thicknessIn)).toBe(how);
  });

  it('marks parts so that strokes meet strokes', () => {
    const marks = orientationMarks(
      'Lap',
      ['skin', 'doubler', 'strip'].map((name, at) => ({ name, layer: at + 1 }))
    );
    expect(
      marks.map(({ part, of, strokesAbove, strokesBelow }) => [
        part,
        of,
        strokesAbove,
        strokesBelow
      ])
    ).toEqual([
      [1, 3, 0, 1],
      [2, 3, 1, 2],
      [3, 3, 2, 0]
    ]);
    for (const [at, mark] of marks.slice(1).entries())
      expect(mark.strokesAbove).toBe(marks[at]?.strokesBelow);
  });

  it('marks an insert like the skin that it lies in', () => {
    const marks = orientationMarks('Patch', [
      { name: 'skin', layer: 1 },
      { name: 'insert', layer: 1 },
      { name: 'doubler', layer: 2 }
    ]);
    expect(
      marks.map(({ face, strokesAbove, strokesBelow }) => [face, strokesAbove, strokesBelow])
    ).toEqual([
      ['outside, under the manufactured heads', 0, 1],
      ['outside, under the manufactured heads', 0, 1],
      ['inside, against parts 1 and 2', 1, 0]
    ]);
  });
});
