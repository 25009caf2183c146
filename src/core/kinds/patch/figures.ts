import { workLine, type WorkLine } from '../../answer.ts';
import { by, len, unitLen } from '../../notation.ts';
import type { LayContext, LayoutDim, LayoutFigure } from '../kind-layout.ts';
import {
  edgeFigure,
  figure,
  insertEdgeFigure,
  pitchFigure,
  textFigure,
  transverseFigure,
  transverseWork
} from '../shared/common-figures.ts';
import type { Patch } from './fields.ts';
import type { PatchGeometry } from './geometry.ts';
import { isCutOut } from './parts.ts';

/** How the doubler's size comes about: with two lines its border is wider than the calculation of one says. */
export const doublerWork = ({ rows }: Patch, { borderIn, doubler }: PatchGeometry): WorkLine =>
  workLine(
    'doubler',
    by`cutout + 2 × border, border = 2 × edge${rows === 2 ? ' + between rows' : ''} = ${len(borderIn)}`,
    by`${len(doubler.w)} × ${len(doubler.h)}`,
    'in',
    'doubler'
  );

const keyed = ({ work }: PatchGeometry, ...keys: string[]): WorkLine[] =>
  work.filter(({ key }) => key !== undefined && keys.includes(key));

/** A patch's answers with their arithmetic. */
export function patchFigures(
  joint: Patch,
  geometry: PatchGeometry,
  context: LayContext
): LayoutFigure[] {
  const { skin, doubler, insertIn, insertCornerEdgeIn, pitchIn, transverseIn } = geometry;
  const pitches = keyed(geometry, 'pitch');
  const pitch = (key: string, label: string, lengthIn: number) =>
    pitchFigure(context, lengthIn, context.diameterIn, pitches, { key, label });
  const figures = [
    edgeFigure(context),
    pitch('pitch-w', 'Pitch, top and bottom', skin.pitchWIn),
    pitch('pitch-h', 'Pitch, left and right', skin.pitchHIn)
  ];
  if (joint.rows === 2)
    figures.push(
      transverseFigure(context, transverseIn, [transverseWork(context, pitchIn, transverseIn)])
    );
  figures.push(
    textFigure(
      'doubler',
      joint.style === 'flush' ? 'Doubler' : 'Plate',
      by`${len(doubler.w)} × ${unitLen(doubler.h)}`,
      [doublerWork(joint, geometry)]
    )
  );
  if (insertIn)
    figures.push(
      textFigure(
        'insert',
        'Insert',
        by`${len(insertIn.w)} × ${unitLen(insertIn.h)}`,
        keyed(geometry, 'insert', 'insert-corner')
      )
    );
  if (insertIn) figures.push(...insertEdgeFigure(joint));
  if (insertCornerEdgeIn !== null)
    figures.push(
      figure(
        'insert-corner',
        'Insert corner to its curve',
        insertCornerEdgeIn,
        keyed(geometry, 'insert-corner')
      )
    );
  return figures;
}

/** The doubler along the top and the left, the cut-out along the other sides. */
export function patchDims(joint: Patch, { doubler, borderIn }: PatchGeometry): LayoutDim[] {
  const whole = { fromIn: 0, label: joint.style === 'flush' ? 'doubler' : 'plate', strong: true };
  const hole = { fromIn: borderIn, label: isCutOut(joint) ? 'cutout' : 'damage' };
  return [
    { ...whole, axis: 'x', toIn: doubler.w, side: 'top' },
    { ...whole, axis: 'y', toIn: doubler.h, side: 'left' },
    { ...hole, axis: 'x', toIn: borderIn + joint.cutoutWIn, side: 'bottom' },
    { ...hole, axis: 'y', toIn: borderIn + joint.cutoutHIn, side: 'right' }
  ];
}
