import { answer, notPossible, workLine } from '../../answer.ts';
import { by, len, lens, unitLen } from '../../notation.ts';
import type { Round } from './fields.ts';
import { layersOf } from '../../stack/layers.ts';
import { atMost } from '../../units/tolerance.ts';
import { roundThe, type LineWish } from '../../layout/lines.ts';
import { roundRings, type RoundRings } from '../../layout/round-rings.ts';
import { addedVolumeIn3, circle, rect, type Part } from '../../layout/shapes.ts';
import {
  edgeFigure,
  pitchFigure,
  textFigure,
  transverseFigure,
  transverseWork
} from '../shared/common-figures.ts';
import { PLAIN, wholeCheck, type LaidKind, type LayContext } from '../kind-layout.ts';

function ringLines(
  name: string,
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
    endsMayMove: false,
    endsAtEdge: false
  }));
}

/** A round patch: doubler, rings of rivets, an insert where asked. x and y run from the corner round the doubler. */
export function layRound(joint: Round, context: LayContext): LaidKind {
  const { dash, diameterIn: D, edgeIn, limits, nearPitchIn } = context;
  const need = context.needs[0]?.required;
  if (need && !need.ok) return need;
  const least = need ? 2 * need.result.required : 0;
  const cutRadiusIn = joint.cutoutIn / 2;
  const rings = roundRings(
    cutRadiusIn + edgeIn,
    joint.rings,
    least,
    { diameterIn: D, nearPitchIn },
    limits
  );
  if (!rings.ok) return rings;
  const { radiiIn, count, transverseIn, leastPitchIn, mostPitchIn } = rings.result;
  const outerIn = (radiiIn.at(-1) ?? 0) + edgeIn;
  const lines = ringLines('skin', rings.result, outerIn, dash, 0);

  const [skin, ...backing] = joint.sheets;
  const insertSheetIn = joint.insertSheetIn ?? skin?.thicknessIn ?? 0;
  const insertRadiusIn = cutRadiusIn - joint.insertClearanceIn;
  const ownStack = joint.insert && insertSheetIn !== skin?.thicknessIn;
  if (joint.insert) {
    const lineIn = insertRadiusIn - edgeIn;
    if (atMost(lineIn, 0))
      return notPossible('cutoutIn', {
        code: 'no-insert-line',
        cutoutIn: joint.cutoutIn,
        leastIn: 2 * (edgeIn + joint.insertClearanceIn)
      });
    const inner = roundRings(lineIn, 1, 0, { diameterIn: D, nearPitchIn: null }, limits);
    if (!inner.ok) return inner;
    lines.push(...ringLines('insert', inner.result, outerIn, dash, ownStack ? 1 : 0));
  }
  const cutOut = circle(outerIn, outerIn, cutRadiusIn);
  const reachIn = Math.max(0.4, 0.15 * outerIn);
  const parts: Part[] = [
    {
      key: 'doubler',
      name: backing[0]?.name ?? 'doubler',
      layer: 'under',
      outline: circle(outerIn, outerIn, outerIn),
      openings: [],
      goesOn: [],
      addedThicknessIn: backing.reduce((sum, sheet) => sum + sheet.thicknessIn, 0)
    },
    {
      key: 'skin',
      name: skin?.name ?? 'skin',
      layer: 'over',
      outline: rect(-reachIn, -reachIn, 2 * (outerIn + reachIn), 2 * (outerIn + reachIn)),
      openings: [cutOut],
      goesOn: ['left', 'right', 'top', 'bottom'],
      addedThicknessIn: null
    }
  ];
  if (joint.insert)
    parts.push({
      key: 'insert',
      name: 'insert',
      layer: 'filler',
      outline: circle(outerIn, outerIn, insertRadiusIn),
      openings: [],
      goesOn: [],
      addedThicknessIn: insertSheetIn
    });
  const countWork = workLine(
    'rivets on a skin ring',
    least > 0
      ? `2 × ${least / 2} needed (each half of the rings works on one side of the cut) over ${joint.rings} ring${joint.rings > 1 ? 's' : ''}, grown until the outer pitch is within ${limits.pitchMaxD} D`
      : `the fewest within ${limits.pitchMaxD} D: it only holds`,
    count,
    'rivets'
  );
  const pitchWork = workLine(
    'pitch, centre to centre',
    by`2·R·sin(π/n) = 2 × ${len(radiiIn[0] ?? 0)} × sin(π/${count})`,
    leastPitchIn,
    'in'
  );
  const sizeWork = workLine(
    'doubler',
    by`cut-out + 2 × (2 × edge + ${joint.rings - 1} × between rings) = ${len(joint.cutoutIn)} + 2 × (2 × ${len(edgeIn)} + ${joint.rings - 1} × ${len(transverseIn)})`,
    2 * outerIn,
    'in'
  );
  const work = [context.edgeWork, countWork, pitchWork, sizeWork];
  return answer(
    {
      ...PLAIN,
      parts,
      lines,
      cutOut,
      stackings: [
        { name: 'skin rings', layers: layersOf(joint.sheets, null) },
        ...(ownStack
          ? [
              {
                name: 'insert ring',
                layers: layersOf(
                  [
                    { ...skin, name: 'insert', film: false, thicknessIn: insertSheetIn },
                    ...backing
                  ],
                  null
                )
              }
            ]
          : [])
      ],
      carrying: [
        {
          need: 'half',
          words: 'both halves of the skin rings',
          lines: radiiIn.map((_, ring) => `skin-${ring + 1}`),
          times: 2
        }
      ],
      addedIn3: addedVolumeIn3(parts),
      figures: [
        edgeFigure(context),
        pitchFigure(context, leastPitchIn, D, [countWork, pitchWork], {
          label: joint.rings > 1 ? 'Pitch, inner ring' : 'Pitch'
        }),
        ...(joint.rings > 1
          ? [
              pitchFigure(context, mostPitchIn, D, [countWork], {
                key: 'pitch-outer',
                label: 'Pitch, outer ring'
              }),
              transverseFigure(context, transverseIn, [
                transverseWork(context, leastPitchIn, transverseIn)
              ])
            ]
          : []),
        textFigure('doubler', 'Doubler', by`${unitLen(2 * outerIn)} round`, [sizeWork]),
        textFigure(
          'rings',
          'Bolt circles',
          [
            ...lens(
              radiiIn.slice(0, -1).map((radiusIn) => 2 * radiusIn),
              ', '
            ),
            ...(radiiIn.length > 1 ? [', '] : []),
            unitLen(2 * (radiiIn.at(-1) ?? 0))
          ],
          [
            workLine(
              'first ring',
              by`cut-out / 2 + edge = ${len(cutRadiusIn)} + ${len(edgeIn)}`,
              radiiIn[0] ?? 0,
              'in'
            )
          ],
          'diameters'
        )
      ],
      checks: [
        wholeCheck('edge-max', 'most', limits.edgeMaxD * D, edgeIn),
        ...(joint.rings > 1
          ? [wholeCheck('transverse-min', 'least', limits.transverseMinD * D, transverseIn)]
          : [])
      ],
      dims: [
        { axis: 'x', fromIn: 0, toIn: 2 * outerIn, side: 'top', label: 'doubler', strong: true },
        {
          axis: 'x',
          fromIn: outerIn - cutRadiusIn,
          toIn: outerIn + cutRadiusIn,
          side: 'bottom',
          label: 'cut-out'
        },
        { axis: 'y', fromIn: edgeIn, toIn: 2 * outerIn - edgeIn, side: 'left', label: 'outer ring' }
      ],
      widthIn: 2 * outerIn,
      heightIn: 2 * outerIn,
      rowsSharing: joint.rings,
      pitchIn: leastPitchIn,
      transverseIn: joint.rings > 1 ? transverseIn : null,
      work
    },
    work
  );
}
