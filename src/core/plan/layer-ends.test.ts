import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { written } from '../../../tests/support/words';

/** A lap of three sheets, dash 4, the third from one place to another. */
function lap(change: { fromIn?: number; toIn?: number }) {
  const joint = definition('lap', ['0.032', '0.040', '0.040'], { widthIn: '6', dash: 4 });
  return {
    ...joint,
    sheets: joint.sheets.map((sheet, at) => (at === 2 ? { ...sheet, ...change } : sheet))
  };
}
const endChecks = (joint: ReturnType<typeof lap>) => {
  const { layout } = planned(joint);
  if (!layout.ok) throw new Error('laid');
  return layout.result.checks.filter(({ rule }) => rule === 'layer-end-min');
};
const holeNear = (joint: ReturnType<typeof lap>, xIn: number) => {
  const holes = planned(joint).holes;
  return holes.reduce(
    (near, hole) => (Math.abs(hole.xIn - xIn) < Math.abs(near.xIn - xIn) ? hole : near),
    holes[0] as (typeof holes)[number]
  );
};

describe('a layer’s own ends', () => {
  it('ask for edge distance as the sheet’s do, and name layer and hole', () => {
    const at = holeNear(lap({}), 3).xIn;
    const near = lap({ fromIn: at - 0.05 });
    const [check] = endChecks(near);
    // 2 D of dash 4
    expect(check).toMatchObject({ ok: false, limitIn: 0.25, layer: near.sheets[2]?.name });
    expect(check?.valueIn).toBeCloseTo(0.05, 9);
    expect(check?.holes[0]).toBe(holeNear(near, at).number);
    const said = planned(near).warnings.find(({ said: { code } }) => code === 'limit');
    expect(said?.level).toBe('stop');
    expect(written({ warnings: said ? [said] : [] })[0]?.text).toMatch(
      /^An end of sheet 3 is 0\.05 in from the hole’s middle; minimum edge distance 0\.25 in\. Holes 7, 20, 33/
    );
  });

  it('hold where they leave the edge distance, from either side', () => {
    const at = holeNear(lap({}), 3).xIn;
    expect(endChecks(lap({ fromIn: at - 0.25 }))[0]).toMatchObject({ ok: true });
    expect(endChecks(lap({ toIn: at + 0.25 }))[0]).toMatchObject({ ok: true });
    expect(endChecks(lap({ toIn: at + 0.24 }))[0]).toMatchObject({ ok: false });
  });

  it('are cut into by a hole that does not go through the layer', () => {
    const at = holeNear(lap({}), 3).xIn;
    // the hole's radius is 0.0625: a layer that begins 0.05 beyond its middle loses its end
    const [check] = endChecks(lap({ fromIn: at + 0.05 }));
    expect(check).toMatchObject({ ok: false });
    expect(check?.valueIn).toBeCloseTo(-0.05, 9);
  });

  it('are each sheet’s own, though two have one name', () => {
    const straps = (at: number, change: object) => {
      const joint = definition('double-strap', ['0.040', '0.040', '0.040'], {
        widthIn: '4',
        dash: 4,
        perInch: '2',
        perInchReason: 'own'
      });
      return {
        ...joint,
        sheets: joint.sheets.map((sheet, index) => ({
          ...sheet,
          name: 'strap',
          ...(index === at ? change : {})
        }))
      };
    };
    for (const at of [0, 1, 2]) {
      const { layout } = planned(straps(at, { fromIn: 1.2 }));
      const check = layout.ok && layout.result.checks.find(({ rule }) => rule === 'layer-end-min');
      expect(check, `sheet ${at + 1}`).toMatchObject({ ok: false, layer: 'strap' });
    }
    // one of them lies under no hole at all
    expect(
      written(planned(straps(2, { fromIn: 3.9 }))).filter(({ title }) => /no hole/.test(title))
    ).toHaveLength(1);
  });

  it('leave room for no larger rivet in rework either', () => {
    const at = holeNear(lap({}), 3).xIn;
    const joint = lap({ fromIn: at - 0.26 });
    const plan = planned(joint);
    const index = plan.holes.findIndex(({ number }) => number === holeNear(joint, at).number);
    // 2 D of dash 5 is 0.3125
    expect(plan.headroom[index]).toMatchObject({ largestDash: 4, limitedBy: 'edge' });
  });
});
