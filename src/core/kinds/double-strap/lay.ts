import { layersOf } from '../../stack/layers.ts';
import { above } from '../../units/tolerance.ts';
import type { KindLayout, LaidKind, LayContext } from '../kind-layout.ts';
import { layTwoSided } from '../shared/two-sided.ts';
import type { DoubleStrap } from './fields.ts';

/** Two thin straps, one on each side of a broken member: the rivets are cut in two places. */
export function layDoubleStrap(joint: DoubleStrap, context: LayContext): LaidKind {
  const [first, member, ...rest] = joint.sheets;
  const held = member ?? { name: 'member', thicknessIn: 0 };
  const top = first ?? { name: 'strap', thicknessIn: 0 };
  const strapsIn = top.thicknessIn + rest.reduce((sum, strap) => sum + strap.thicknessIn, 0);
  const warnings: KindLayout['warnings'] = [];
  if (rest.length === 0)
    warnings.push({
      level: 'stop',
      said: { code: 'strap-missing' }
    });
  if (above(held.thicknessIn, strapsIn))
    warnings.push({
      level: 'attention',
      said: { code: 'straps-thinner', strapsIn, memberIn: held.thicknessIn, of: 'member' }
    });
  return layTwoSided(joint, context, {
    near: held.name,
    far: `${held.name}, other part`,
    straps: [
      { name: top.name, thicknessIn: top.thicknessIn, layer: 'over' },
      ...rest.map(({ name, thicknessIn }) => ({ name, thicknessIn, layer: 'under' as const }))
    ],
    stackings: [{ name: 'both sides', layers: layersOf(joint.sheets, joint.widthIn) }],
    warnings
  });
}
