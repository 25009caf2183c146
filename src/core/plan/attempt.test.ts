import { describe, expect, it } from 'vitest';
import { definition } from '../../../tests/support/joints';
import type { JointKind } from '../kinds/joint';
import { KINDS } from '../kinds/joint';
import { DEFAULT_PROFILE } from '../rules/profile';
import { attempt } from './attempt';
import { plan } from './plan';
import { whyNot } from '../../../tests/support/why-not.ts';

/** What one types first of each kind. */
const SIZES: Record<JointKind, object> = {
  lap: { widthIn: '8' },
  splice: { widthIn: '8' },
  patch: { cutoutWIn: '3', cutoutHIn: '2' },
  round: { cutoutIn: '3' },
  line: { lengthIn: '12', flangeIn: '7/8', bendRadiusIn: '1/8' },
  tapered: { lengthIn: '60', flangeIn: '1 1/2' },
  panel: { widthIn: '10', heightIn: '8', frameIn: '1' },
  'double-strap': { widthIn: '1 1/4' }
};
const GAUGES = ['0.016', '0.020', '0.025', '0.032', '0.040', '0.050', '0.063', '0.080', '0.125'];

function tried(kind: JointKind, thick: readonly string[], change: object) {
  const joint = definition(kind, thick, change as never);
  const planned = plan(joint, DEFAULT_PROFILE);
  return { planned, made: attempt(joint, DEFAULT_PROFILE, planned) };
}

describe('a joint that is not possible, drawn', () => {
  it.each(KINDS.map(({ key, blank }) => [key, blank.sheets.length] as const))(
    'any %s of common gauges gives a drawing, flush or not',
    (kind, sheets) => {
      for (const gauge of GAUGES)
        for (const head of ['universal', 'countersunk']) {
          const thick = Array.from({ length: sheets }, () => gauge);
          const { planned, made } = tried(kind, thick, { ...SIZES[kind], head });
          if (planned.layout.ok) expect(made).toBeNull();
          else expect(made?.wished ?? made?.ghost, `${gauge} ${head}`).toBeTruthy();
        }
    }
  );

  it('hatches the holes whose pitch is under the least, and shows the rows that would do', () => {
    // 30 rivets in one row of 8 in: 7.4 in / 29 = 0.255 in, under 3 D = 0.375 in
    const { made } = tried('lap', ['0.040', '0.040'], {
      widthIn: '8',
      rows: 1,
      dash: 4,
      perInch: '3.75',
      perInchReason: 'test'
    });
    expect(made?.wished?.holes).toHaveLength(30);
    expect(made?.cannot.length).toBeGreaterThan(20);
    expect(made?.ghost?.way.said.code).toBe('rows-chosen');
    expect(made?.ghost?.plan.layout.ok).toBe(true);
    expect(new Set(made?.ghost?.plan.holes.map(({ yIn }) => yIn)).size).toBeGreaterThan(1);
  });

  it('hatches what stands too near its edge where an edge distance was typed', () => {
    const { made } = tried('lap', ['0.040', '0.040'], { widthIn: '8', dash: 4, edgeIn: '1/8' });
    expect(made?.wished?.holes.some(({ xIn }) => xIn === 0.125)).toBe(true);
    expect(made?.cannot.length).toBeGreaterThan(0);
    expect(made?.ghost?.way.said.code).toBe('usual-edge');
  });

  it('has no rivets to draw where nobody knows how many, but the size that would do', () => {
    // a dash 8 in 0.032 sheets is refused by the guidance
    const { made } = tried('lap', ['0.032', '0.032'], { widthIn: '8', dash: 8 });
    expect(made?.wished).toBeNull();
    expect(made?.ghost?.way.said.code).toBe('size');
  });

  it('offers attachment only last, and only where the joint carries by the guidance', () => {
    const line = { lengthIn: '12', flangeIn: '7/8', bendRadiusIn: '1/8', dash: 4 };
    const { made } = tried('line', ['0.040', '0.040'], line);
    expect(made?.ghost?.way.change).toEqual({ carries: 'attach' });
    const held = tried('line', ['0.040', '0.040'], { ...line, lengthIn: '1/2', carries: 'attach' });
    expect(whyNot(held.planned.layout)).toBe('line-too-short');
    expect(held.made?.ghost?.way.said.code).not.toBe('attachment-only');
  });
});
