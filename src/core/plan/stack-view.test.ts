import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { DEFAULT_PROFILE, type RuleProfile } from '../rules/profile';
import { stackView } from './stack-view';

function view(thick: string[], change = {}, profile: RuleProfile = DEFAULT_PROFILE) {
  const joint = definition('lap', thick, {
    widthIn: '8',
    dash: 4,
    perInch: '2',
    perInchReason: 'own sheet',
    ...change
  });
  const [stack] = planned(joint, profile).stacks;
  if (!stack) throw new Error('a stack');
  return { stack, ...stackView(stack, joint, profile) };
}

describe('one stack as the station shows it', () => {
  it('is driven from its protrusion, past the full hole, to under every limit', () => {
    const { travel, reckonings, flush } = view(['0.040', '0.040']);
    expect(travel).toEqual({
      fromIn: expect.closeTo(0.20125, 12) as number,
      // less 0.00088725 × 0.08 / 0.015625
      fullHoleIn: expect.closeTo(0.19670728, 8) as number,
      toIn: 0.0375,
      // half way between 1.57366 / 1.75² and 0.65 D
      restIn: expect.closeTo(((1.573658 / 3.0625 + 0.65) / 2) * 0.125, 6) as number
    });
    expect(reckonings).toEqual([]);
    expect(flush).toBeNull();
  });

  it('reckons a dimpled stack both ways, one head height apart', () => {
    const { reckonings } = view(['0.025', '0.032'], { head: 'countersunk' });
    expect(reckonings.map(({ school }) => school)).toEqual(['flat-stack', 'at-dimple']);
    const [flat, raised] = reckonings;
    expect((flat?.protrusionIn ?? 0) - (raised?.protrusionIn ?? 0)).toBeCloseTo(0.042, 12);
    const volume = (one: typeof flat) => (one?.head.ok ? one.head.result.volumeIn3 : NaN);
    // a shank of 0.042 and the ring round it stay in the dimple: π/4 × 0.1285² × 0.042
    expect(volume(flat) - volume(raised)).toBeCloseTo((Math.PI / 4) * 0.1285 ** 2 * 0.042, 10);
  });

  it('drives what the shop’s own school reckons with', () => {
    const flat = view(['0.025', '0.032'], { head: 'countersunk' });
    const raised = view(
      ['0.025', '0.032'],
      { head: 'countersunk' },
      { ...DEFAULT_PROFILE, dimpled: 'at-dimple' }
    );
    expect((flat.travel?.fromIn ?? 0) - (raised.travel?.fromIn ?? 0)).toBeCloseTo(0.042, 12);
    expect(raised.stack.head).toEqual(raised.reckonings[1]?.head);
    expect(flat.stack.head).toEqual(flat.reckonings[0]?.head);
  });

  it('reckons a dimple over a cut sheet from its flat far face alone', () => {
    const { reckonings, flush, section } = view(['0.025', '0.071'], { head: 'countersunk' });
    expect(reckonings).toEqual([]);
    expect(section.lipIn).toBeCloseTo(0.096, 12);
    expect(flush?.tools.map(({ op }) => op)).toEqual(['dimple', 'countersink']);
    expect(flush?.otherTools?.[1]).toMatchObject({ cutDeg: 100 });
    expect(flush?.pilot).toEqual({ drill: '#30', diameterIn: 0.1285 });
  });

  it('shows flat metal beyond every cut and dimple', () => {
    for (const thick of [
      ['0.071', '0.040'],
      ['0.025', '0.032'],
      ['0.025', '0.025', '0.032']
    ]) {
      const { section, besideIn } = view(thick, { head: 'countersunk' });
      for (const { outlineIn } of section.sheets)
        for (const [xIn] of outlineIn.slice(1, -1)) expect(xIn).toBeLessThan(besideIn - 0.02);
    }
  });
});
