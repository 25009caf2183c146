import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints.ts';
import { markRows } from '../exchange/mark-rows.ts';
import { operationTime } from '../prepare/operations.ts';
import { stepList } from '../prepare/step-list.ts';
import { DEFAULT_PROFILE } from '../rules/profile.ts';
import { STARTING_FIGURES } from '../prepare/shop-figures.ts';
import type { Dash } from '../schema/fields.ts';

/** A row of eight on a flange, its third hole there already. */
const joint = (
  found: { holeIn?: string; state?: 'open' | 'riveted' | 'enlarged' },
  dash: Dash = 4
) =>
  definition('line', ['0.040', '0.050'], {
    carries: 'attach',
    dash,
    lengthIn: '10',
    flangeIn: '1 1/4',
    bendRadiusIn: '1/8',
    edgeIn: '3/8',
    fixed: [
      {
        id: 'old',
        kind: 'existing',
        line: 'line-1',
        name: 'old row',
        atIn: '3',
        offIn: '',
        state: found.state ?? 'open',
        holeIn: found.holeIn ?? ''
      }
    ]
  });
const found = (...of: Parameters<typeof joint>) => planned(joint(...of)).existing[0];
const warned = (...of: Parameters<typeof joint>) =>
  planned(joint(...of)).warnings.flatMap(({ said, level }) =>
    said.code.startsWith('existing-') ? [`${level} ${said.code}`] : []
  );

describe('an existing hole that gets a rivet', () => {
  it('is not good before it was measured, nor while its old rivet is in it', () => {
    expect(found({})?.standing).toBe('not-measured');
    expect(warned({})).toEqual(['attention existing-not-measured']);
    expect(found({ state: 'riveted', holeIn: '0.1285' })?.standing).toBe('riveted');
    expect(warned({ state: 'riveted' })).toEqual(['attention existing-riveted']);
  });

  it('is too small under the nominal hole, whatever is written alike is at it', () => {
    // rivets: dash 4 nominal 0.1285, dash 5 0.159 (drill #21)
    expect(found({ holeIn: '0.127' })).toMatchObject({ standing: 'too-small', drill: '#30' });
    expect(found({ holeIn: '0.098' })).toMatchObject({ standing: 'too-small' });
    expect(found({ holeIn: '0.1285' })?.standing).toBe('fits');
    // 3.26 mm is 0.12835: nothing tells it from 0.1284; 3.265 mm is 0.12854
    expect(found({ holeIn: '3.26 mm' })?.standing).toBe('too-small');
    expect(found({ holeIn: '3.263 mm' })?.standing).toBe('fits');
    expect(found({ holeIn: '0.1285' }, 5)).toMatchObject({
      standing: 'too-small',
      drill: '#21',
      drillIn: 0.159
    });
    expect(warned({ holeIn: '0.120' })).toEqual(['attention existing-small']);
  });

  it('is good up to 0.003 over its drill, then the next size’s, then nobody’s', () => {
    expect(found({ holeIn: '0.1315', state: 'enlarged' })?.standing).toBe('fits');
    expect(found({ holeIn: '0.133', state: 'enlarged' })).toMatchObject({
      standing: 'next-size',
      next: { dash: 5 }
    });
    expect(warned({ holeIn: '0.133' })).toEqual(['stop existing-large']);
    expect(found({ holeIn: '0.170' })).toMatchObject({ standing: 'refer', fails: ['hole'] });
    expect(found({ holeIn: '0.1285' })?.work.length).toBeGreaterThan(0);
  });

  it('is not drilled again where it fits, and is where it is too small', () => {
    const drilled = (holeIn: string) => {
      const of = joint({ holeIn });
      const steps = stepList(of, planned(of), DEFAULT_PROFILE, null, (op) =>
        operationTime(op, STARTING_FIGURES.times, [])
      );
      return steps.find(({ key }) => key === 'upDrill-4')?.holes ?? [];
    };
    const number = found({})?.hole ?? NaN;
    expect(drilled('0.1285')).not.toContain(number);
    expect(drilled('0.120')).toContain(number);
    expect(drilled('0.120').length).toBe(drilled('0.1285').length + 1);
    const row = (holeIn: string) => {
      const of = joint({ holeIn });
      const { layout, stacks, existing } = planned(of);
      if (!layout.ok) throw new Error('not laid out');
      return markRows({
        layout: layout.result,
        stacks,
        profile: DEFAULT_PROFILE,
        unit: 'in',
        fixed: of.fixed,
        existing,
        warningOf: () => ''
      })[number - 1];
    };
    expect(row('0.130')).toMatchObject({ state: 'existing', drill: '', hole_diameter_in: 0.13 });
    expect(row('0.120')).toMatchObject({ drill: '#30', hole_diameter_in: 0.1285 });
  });
});
