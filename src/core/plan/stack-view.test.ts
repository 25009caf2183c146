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
  });

  it('drives the metal beyond the dimple, whichever school names the protrusion', () => {
    const flat = view(['0.025', '0.032'], { head: 'countersunk', dash: 4 });
    // -4 under either school: 0.25 − 0.057 − 0.042 stands beyond the dimple, less what fills the hole through the grip
    expect(flat.stack.length).toMatchObject({ ok: true, result: { lengthDash: '4' } });
    expect(flat.travel?.fromIn).toBeCloseTo(0.151, 12);
    const metalIn3 = (Math.PI / 4) * (0.125 ** 2 * 0.151 - (0.1285 ** 2 - 0.125 ** 2) * 0.057);
    expect(flat.stack.head.ok && flat.stack.head.result.volumeIn3).toBeCloseTo(metalIn3, 15);
    // fromIn less the ring round the shank, through the whole grip
    expect(flat.travel?.fullHoleIn).toBeCloseTo(
      0.151 - ((0.1285 ** 2 - 0.125 ** 2) * 0.057) / 0.125 ** 2,
      12
    );
    const raised = view(
      ['0.025', '0.032'],
      { head: 'countersunk', dash: 4 },
      { ...DEFAULT_PROFILE, dimpled: 'at-dimple' }
    );
    // that school aims 1.5 D beyond the dimple: 0.057 + 0.042 + 0.1875 = 0.2865 → -4.5
    expect(raised.stack.length).toMatchObject({ ok: true, result: { lengthDash: '4.5' } });
    expect(raised.travel?.fromIn).toBeCloseTo(0.28125 - 0.099, 12);
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
