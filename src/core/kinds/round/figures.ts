import { workLine, type WorkLine } from '../../answer.ts';
import { by, len, lens, unitLen, type Notation } from '../../notation.ts';
import type { LayContext, LayoutDim, LayoutFigure } from '../kind-layout.ts';
import {
  edgeFigure,
  insertEdgeFigure,
  pitchFigure,
  textFigure,
  transverseFigure,
  transverseWork
} from '../shared/common-figures.ts';
import type { Round } from './fields.ts';
import type { RoundGeometry } from './geometry.ts';

interface RoundWork {
  count: WorkLine;
  pitch: WorkLine;
  size: WorkLine;
}

/** How count, pitch and size of a round patch come about. */
export function roundWork(
  { rings, cutoutIn }: Round,
  { skin, least, outerIn }: RoundGeometry,
  { limits, edgeIn }: LayContext
): RoundWork {
  const { radiiIn, count, leastPitchIn, transverseIn } = skin;
  const between = rings - 1;
  return {
    count: workLine(
      'rivets on a skin ring',
      least > 0
        ? `2 × ${least / 2} needed (each half of the rings works on one side of the cut) over ${rings} ring${rings > 1 ? 's' : ''}, grown until the outer pitch is within ${limits.pitchMaxD} D`
        : `the fewest within ${limits.pitchMaxD} D: attachment only`,
      count,
      'rivets'
    ),
    pitch: workLine(
      'pitch, center to center',
      by`2·R·sin(π/n) = 2 × ${len(radiiIn[0] ?? 0)} × sin(π/${count})`,
      leastPitchIn,
      'in'
    ),
    size: workLine(
      'doubler',
      by`cutout + 2 × (2 × edge + ${between} × between rings) = ${len(cutoutIn)} + 2 × (2 × ${len(edgeIn)} + ${between} × ${len(transverseIn)})`,
      2 * outerIn,
      'in'
    )
  };
}

const circlesOf = (radiiIn: readonly number[]): Notation => {
  const diametersIn = radiiIn.map((radiusIn) => 2 * radiusIn);
  const inner = diametersIn.slice(0, -1);
  return [
    ...lens(inner, ', '),
    ...(inner.length > 0 ? [', '] : []),
    unitLen(diametersIn.at(-1) ?? 0)
  ];
};

/** A round patch's answers with their arithmetic. */
export function roundFigures(
  joint: Round,
  { skin, insert, cutRadiusIn, outerIn }: RoundGeometry,
  context: LayContext,
  work: RoundWork
): LayoutFigure[] {
  const { radiiIn, leastPitchIn, mostPitchIn, transverseIn } = skin;
  const D = context.diameterIn;
  const several = joint.rings > 1;
  const figures = [
    edgeFigure(context),
    pitchFigure(context, leastPitchIn, D, [work.count, work.pitch], {
      label: several ? 'Pitch, inner ring' : 'Pitch'
    })
  ];
  if (several)
    figures.push(
      pitchFigure(context, mostPitchIn, D, [work.count], {
        key: 'pitch-outer',
        label: 'Pitch, outer ring'
      }),
      transverseFigure(context, transverseIn, [transverseWork(context, leastPitchIn, transverseIn)])
    );
  const firstWork = workLine(
    'first ring',
    by`cutout / 2 + edge = ${len(cutRadiusIn)} + ${len(context.edgeIn)}`,
    radiiIn[0] ?? 0,
    'in'
  );
  figures.push(
    textFigure('doubler', 'Doubler', by`${unitLen(2 * outerIn)} round`, [work.size]),
    textFigure('rings', 'Bolt circles', circlesOf(radiiIn), [firstWork], 'diameters')
  );
  if (insert) figures.push(...insertEdgeFigure(joint));
  return figures;
}

/** The doubler over the top, the cut-out beneath, the outer ring at the left. */
export const roundDims = ({ outerIn, cutRadiusIn }: RoundGeometry, edgeIn: number): LayoutDim[] => [
  { axis: 'x', fromIn: 0, toIn: 2 * outerIn, side: 'top', label: 'doubler', strong: true },
  {
    axis: 'x',
    fromIn: outerIn - cutRadiusIn,
    toIn: outerIn + cutRadiusIn,
    side: 'bottom',
    label: 'cutout'
  },
  { axis: 'y', fromIn: edgeIn, toIn: 2 * outerIn - edgeIn, side: 'left', label: 'outer ring' }
];
