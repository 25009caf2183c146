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
});
