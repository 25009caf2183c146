import { describe, expect, it } from 'vitest';
import { stepsOf } from '../../../tests/support/steps';
import { newSheet } from '../joint/sheets';

describe('what is taken in hand', () => {
  it('has its doubler and its insert cut to their outlines and counts them as parts', () => {
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

  it('counts both ends of what is joined, and cuts the straps', () => {
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
});
