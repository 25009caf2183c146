import { layersOf } from '../../stack/layers.ts';
import { above } from '../../units/tolerance.ts';
import type { LaidKind, LayContext } from '../kind-layout.ts';
import { beside, cutPieces } from '../pieces.ts';
import { layTwoSided } from '../shared/two-sided.ts';
import type { Splice } from './fields.ts';

/** A butt splice: two skins end to end, a strap or doubler beneath both. */
export function laySplice(joint: Splice, context: LayContext): LaidKind {
  const [skin, ...straps] = joint.sheets;
  const nearSkin = skin ?? { name: 'skin', thicknessIn: 0 };
  const farIn = joint.farSheetIn ?? nearSkin.thicknessIn;
  const farSkin = { ...nearSkin, name: `far ${nearSkin.name}`, thicknessIn: farIn };
  const strapsIn = straps.reduce((sum, strap) => sum + strap.thicknessIn, 0);
  const thickestIn = Math.max(nearSkin.thicknessIn, farIn);
  return layTwoSided(joint, context, {
    near: nearSkin.name,
    far: farSkin.name,
    straps: straps.map(({ name, thicknessIn }) => ({ name, thicknessIn, layer: 'under' })),
    stackings: [
      { name: 'near side', layers: layersOf(joint.sheets, joint.widthIn) },
      ...(farIn === nearSkin.thicknessIn
        ? []
        : [{ name: 'far side', layers: layersOf([farSkin, ...straps], joint.widthIn) }])
    ],
    pieces: (strap) =>
      beside(
        cutPieces(joint.sheets, (layer) => layer > 1, strap),
        [{ name: farSkin.name, layer: 1, thicknessIn: farIn }]
      ),
    warnings: above(thickestIn, strapsIn)
      ? [
          {
            level: 'attention',
            said: { code: 'straps-thinner', strapsIn, memberIn: thickestIn, of: 'skin' }
          }
        ]
      : []
  });
}
