import { describe, expect, it } from 'vitest';
import { definition, layoutOf, planned } from '../../../tests/support/joints';

describe('what was asked', () => {
  const line = (divides: { id: string; fromIn: string; toIn: string; count: string }[]) =>
    definition('line', ['0.040', '0.032'], {
      lengthIn: '25',
      flangeIn: '1',
      bendRadiusIn: '1/8',
      carries: 'attach',
      dash: 4,
      divides
    });

  it('is laid and then judged: holes divided too far apart stand where they were asked for', () => {
    // 540 mm in five spaces is 108 mm, 4.252 in; 12 D is 1.5 in: fourteen new holes would make 36 mm
    const plan = planned(line([{ id: 'd', fromIn: '60mm', toIn: '600mm', count: '4' }]));
    const at = plan.holes.map(({ xIn }) => xIn * 25.4);
    for (const mm of [60, 168, 276, 384, 492, 600])
      expect(
        at.some((x) => Math.abs(x - mm) < 1e-6),
        `${mm} mm`
      ).toBe(true);
    const codes = plan.warnings.map(({ said }) => said.code);
    expect(codes).toContain('limit');
    expect(plan.warnings.find(({ said }) => said.code === 'divided-off')?.said).toMatchObject({
      count: 4,
      nearest: 14
    });
  });

  it('begins at a divided span that leaves the line’s own end hole no room', () => {
    // the edge distance is 9/32 here: 5/16 is less than 3 D = 3/8 past it, and 3/16 lies before it
    for (const fromIn of ['5/16', '3/16', '1/2']) {
      const { holes, lines, stuck, checks } = layoutOf(
        line([{ id: 'd', fromIn, toIn: '6', count: '5' }])
      );
      expect(stuck, fromIn).toEqual([]);
      expect(lines[0]?.fromIn).toBeCloseTo(
        { '5/16': 0.3125, '3/16': 0.1875, '1/2': 0.5 }[fromIn] ?? 0,
        9
      );
      expect(holes.filter(({ xIn }) => xIn < 6.001)).toHaveLength(7);
      // what is too near the edge is said
      expect(checks.find(({ rule }) => rule === 'edge-min')?.ok).toBe(fromIn !== '3/16');
    }
    // 3/4 leaves the end hole at 9/32 its 3 D
    const { lines } = layoutOf(line([{ id: 'd', fromIn: '3/4', toIn: '6', count: '5' }]));
    expect(lines[0]?.fromIn).toBeCloseTo(0.28125, 9);
  });

  it('is laid too where two given holes stand too close', () => {
    const plan = planned(line([{ id: 'd', fromIn: '3', toIn: '4', count: '9' }]));
    expect(plan.holes.filter(({ xIn }) => xIn > 2.99 && xIn < 4.01)).toHaveLength(11);
    // 3 D is 0.375: one new hole leaves 0.5
    expect(plan.warnings.find(({ said }) => said.code === 'divided-off')?.said).toMatchObject({
      nearest: 1
    });
  });
});
