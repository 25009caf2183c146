import { answer } from '../../answer.ts';
import { addedVolumeIn3 } from '../../layout/shapes.ts';
import { PLAIN, wholeCheck, type LaidKind, type LayContext } from '../kind-layout.ts';
import { patchCautions } from './cautions.ts';
import type { Patch } from './fields.ts';
import { doublerWork, patchDims, patchFigures } from './figures.ts';
import { patchGeometry } from './geometry.ts';
import { crackEnds, patchLines } from './lines.ts';
import { stackingsOf } from '../shared/insert-stack.ts';
import { cutOutOf, isCutOut, layersOfPatch, patchParts, patchPieces, reliefsOf } from './parts.ts';

const SIDES = { top: 'w', bottom: 'w', left: 'h', right: 'h' } as const;

/** A rectangular patch. x and y run from the corner of the doubler or plate. */
export function layPatch(joint: Patch, context: LayContext): LaidKind {
  const laid = patchGeometry(joint, context);
  if (!laid.ok) return laid;
  const geometry = laid.result;
  const { doubler, pitchIn, transverseIn, insertCornerEdgeIn } = geometry;
  const { limits, diameterIn: D, edgeIn } = context;
  const two = joint.rows === 2;
  const { parts, added } = patchParts(joint, geometry);
  const work = [
    doublerWork(joint, geometry),
    ...geometry.work.filter(({ key }) => key !== 'doubler')
  ];
  return answer(
    {
      ...PLAIN,
      parts,
      pieces: patchPieces(joint, geometry),
      lines: patchLines(joint, geometry, context),
      drilledOnly: crackEnds(joint, doubler.w, doubler.h),
      cutOut: isCutOut(joint) ? cutOutOf(joint, geometry) : null,
      cutLayer: layersOfPatch(joint).skin,
      reliefs: reliefsOf(joint, geometry),
      stackings: stackingsOf(joint, joint.style === 'flush', {
        skin: 'skin line',
        insert: 'insert line'
      }),
      carrying: Object.entries(SIDES).map(([side, need]) => ({
        need,
        words: `the ${side} side`,
        lines: [`skin-${side}`, `outer-skin-${side}`],
        times: 1
      })),
      addedIn3: addedVolumeIn3(added),
      figures: patchFigures(joint, geometry, context),
      checks: [
        wholeCheck(
          'edge-max',
          'most',
          limits.edgeMaxD * D,
          Math.max(edgeIn, geometry.insertIn ? (joint.insertEdgeIn ?? 0) : 0)
        ),
        ...(two
          ? [wholeCheck('transverse-min', 'least', limits.transverseMinD * D, transverseIn)]
          : [])
      ],
      dims: patchDims(joint, geometry),
      widthIn: doubler.w,
      heightIn: doubler.h,
      rowsSharing: joint.rows,
      pitchIn,
      transverseIn: two ? transverseIn : null,
      work,
      warnings: patchCautions(joint, insertCornerEdgeIn, context)
    },
    work
  );
}
