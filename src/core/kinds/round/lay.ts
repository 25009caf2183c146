import { answer } from '../../answer.ts';
import { roundThe, type LineWish } from '../../layout/lines.ts';
import type { RoundRings } from '../../layout/round-rings.ts';
import { addedVolumeIn3 } from '../../layout/shapes.ts';
import { PLAIN, wholeCheck, type LaidKind, type LayContext } from '../kind-layout.ts';
import { hasOwnStack, stackingsOf } from '../shared/insert-stack.ts';
import type { Round } from './fields.ts';
import { roundDims, roundFigures, roundWork } from './figures.ts';
import { roundGeometry } from './geometry.ts';
import { cutOutOf, roundParts, roundPieces } from './parts.ts';

function ringLines(
  name: 'skin' | 'insert',
  { radiiIn, count }: Pick<RoundRings, 'radiiIn' | 'count'>,
  centreIn: number,
  dash: LineWish['dash'],
  stack: number
): LineWish[] {
  return radiiIn.map((radiusIn, ring) => ({
    key: `${name}-${ring + 1}`,
    name: `${name} ring${radiiIn.length > 1 ? ` ${ring + 1}` : ''}`,
    path: { path: 'circle', xIn: centreIn, yIn: centreIn, radiusIn },
    alongIn: roundThe(radiusIn, count, ring % 2 === 1),
    givenIn: [],
    dash,
    stack,
    through: [name, 'doubler'],
    endsMayMove: false,
    endsAtEdge: false
  }));
}

/** A round patch: doubler, rings of rivets, an insert where asked. x and y run from the corner round the doubler. */
export function layRound(joint: Round, context: LayContext): LaidKind {
  const laid = roundGeometry(joint, context);
  if (!laid.ok) return laid;
  const geometry = laid.result;
  const { skin, insert, outerIn } = geometry;
  const { dash, diameterIn: D, edgeIn, limits } = context;
  const several = joint.rings > 1;
  const parts = roundParts(joint, geometry);
  const how = roundWork(joint, geometry, context);
  const work = [context.edgeWork, how.count, how.pitch, how.size];
  const insertStack = hasOwnStack(joint) ? 1 : 0;
  return answer(
    {
      ...PLAIN,
      parts,
      pieces: roundPieces(joint, geometry),
      lines: [
        ...ringLines('skin', skin, outerIn, dash, 0),
        ...(insert ? ringLines('insert', insert, outerIn, dash, insertStack) : [])
      ],
      cutOut: cutOutOf(geometry),
      stackings: stackingsOf(joint, joint.insert, { skin: 'skin rings', insert: 'insert ring' }),
      carrying: [
        {
          need: 'half',
          words: 'both halves of the skin rings',
          lines: skin.radiiIn.map((_, ring) => `skin-${ring + 1}`),
          times: 2
        }
      ],
      addedIn3: addedVolumeIn3(parts),
      figures: roundFigures(joint, geometry, context, how),
      checks: [
        wholeCheck(
          'edge-max',
          'most',
          limits.edgeMaxD * D,
          Math.max(edgeIn, insert ? (joint.insertEdgeIn ?? 0) : 0)
        ),
        ...(several
          ? [wholeCheck('transverse-min', 'least', limits.transverseMinD * D, skin.transverseIn)]
          : [])
      ],
      dims: roundDims(geometry, edgeIn),
      widthIn: 2 * outerIn,
      heightIn: 2 * outerIn,
      rowsSharing: joint.rings,
      pitchIn: skin.leastPitchIn,
      transverseIn: several ? skin.transverseIn : null,
      work
    },
    work
  );
}
