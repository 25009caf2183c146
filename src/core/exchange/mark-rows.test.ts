import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints.ts';
import { DEFAULT_PROFILE } from '../rules/profile.ts';
import type { InMetal } from '../releases/in-metal.ts';
import { markColumns, markRows } from './mark-rows.ts';

const rowsOf = (datum: string, unit: 'in' | 'mm' = 'in', reworked: InMetal[] = []) => {
  const plan = planned(
    definition('lap', ['0.040', '0.040'], {
      widthIn: '7',
      dash: 4,
      scale: '1/32',
      datum,
      rows: 1,
      perInch: '1',
      perInchReason: 'own'
    })
  );
  if (!plan.layout.ok) throw new Error('laid');
  return markRows({
    layout: plan.layout.result,
    stacks: plan.stacks,
    profile: DEFAULT_PROFILE,
    unit,
    reworked,
    fixed: [],
    warningOf: () => ''
  });
};

describe('the table of marks', () => {
  it('measures the exact place from the datum, as the mark', () => {
    for (const row of rowsOf('end')) {
      // running marks rise from the line's beginning: from its end they are negative
      expect(row['exact_along_in']).toBeCloseTo(Number(row['x_in']) - 7, 5);
      expect(Number(row['mark_in']) - Number(row['exact_along_in'])).toBeCloseTo(
        Number(row['off_by_in']),
        5
      );
    }
    for (const row of rowsOf('start'))
      expect(row['exact_along_in']).toBeCloseTo(Number(row['x_in']), 5);
  });

  it('has what is in the metal where a hole was reworked', () => {
    const now = { hole: 2, partNumber: 'MS20470AD5-4', fastener: null, holeIn: 0.1602 };
    const rows = rowsOf('start', 'mm', [now]);
    expect(rows[1]).toMatchObject({
      state: 'reworked',
      rivet: 'MS20470AD5-4',
      drill: '',
      hole_diameter_mm: 4.06908
    });
    expect(rows[0]).toMatchObject({ state: 'rivet', drill: '#30' });
  });

  it('is as long in millimetres, and says so in its columns', () => {
    const inches = rowsOf('start');
    rowsOf('start', 'mm').forEach((row, at) => {
      expect(row['x_mm']).toBeCloseTo(Number(inches[at]?.['x_in']) * 25.4, 4);
      expect(row['hole_diameter_mm']).toBeCloseTo(0.1285 * 25.4, 5);
      expect(Object.keys(row)).toEqual(markColumns('mm'));
    });
  });

  it('tells a hole that is there, one that is kept where it is and one to drill apart', () => {
    const kept = (id: string, kind: 'existing' | 'pinned', atIn: string) => ({
      ...{ id, kind, atIn, line: 'row-1', name: '', offIn: '', state: '' as const, holeIn: '' }
    });
    const joint = definition('lap', ['0.040', '0.040'], {
      dash: 4,
      widthIn: '6',
      fixed: [kept('old', 'existing', '2'), kept('pin', 'pinned', '4')]
    });
    const plan = planned(joint);
    if (!plan.layout.ok) throw new Error('laid');
    const rows = markRows({
      layout: plan.layout.result,
      stacks: plan.stacks,
      profile: DEFAULT_PROFILE,
      unit: 'in',
      fixed: joint.fixed,
      warningOf: () => ''
    });
    const at = (xIn: number) => rows.find((row) => row['x_in'] === xIn);
    // what is there is not drilled again
    expect(at(2)).toMatchObject({ state: 'existing', drill: '' });
    expect(at(4)).toMatchObject({ state: 'pinned', drill: '#30' });
    expect(new Set(rows.map(({ state }) => state))).toEqual(
      new Set(['existing', 'pinned', 'rivet'])
    );
  });

  it('has reliefs and stop-drills beneath the rivets, with their sizes', () => {
    const rowsOf = (more: object) => {
      const plan = planned(
        definition('patch', ['0.032', '0.040'], {
          carries: 'attach',
          dash: 4,
          cutoutWIn: '3',
          cutoutHIn: '3',
          ...more
        } as never)
      );
      if (!plan.layout.ok) throw new Error('laid');
      return markRows({
        layout: plan.layout.result,
        stacks: plan.stacks,
        profile: DEFAULT_PROFILE,
        unit: 'mm',
        fixed: [],
        warningOf: () => ''
      }).filter(({ hole }) => typeof hole === 'string');
    };
    expect(rowsOf({ cornerRadiusIn: '1/4' })).toMatchObject(
      ['R1', 'R2', 'R3', 'R4'].map((hole) => ({
        hole,
        state: 'relief',
        hole_diameter_mm: 12.7,
        rivet: ''
      }))
    );
    expect(rowsOf({ crackIn: '2' })).toMatchObject([
      { hole: 'S1', state: 'stop drill', drill: '#40', hole_diameter_mm: 2.4892 },
      { hole: 'S2', state: 'stop drill', drill: '#40', hole_diameter_mm: 2.4892 }
    ]);
  });
});
