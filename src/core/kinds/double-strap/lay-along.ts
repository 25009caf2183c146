import { answer, workLine } from '../../answer.ts';
import { by, len, unitLen } from '../../notation.ts';
import { straight } from '../../layout/lines.ts';
import { rivetsInRow } from '../../layout/row-spacing.ts';
import { addedVolumeIn3, rect, type Part } from '../../layout/shapes.ts';
import { layersOf } from '../../stack/layers.ts';
import { below } from '../../units/tolerance.ts';
import {
  PLAIN,
  wholeCheck,
  type KindLayout,
  type LaidKind,
  type LayContext
} from '../kind-layout.ts';
import { edgeFigure, figure, pitchFigure, transverseFigure } from '../shared/common-figures.ts';
import { needOfRows } from '../shared/rows.ts';
import type { DoubleStrap } from './fields.ts';
import { linesAlong, type LinesAlong } from './lines-along.ts';
import type { Straps } from './straps.ts';

type Side = 'near' | 'far';

/** Both sides of the break with the stretch of the member that lies under the straps; x from the near strap end. */
const sidesOf = (overlapIn: number, gapIn: number): [Side, fromIn: number, toIn: number][] => [
  ['near', 0, overlapIn],
  ['far', overlapIn + gapIn, 2 * overlapIn + gapIn]
];

function partsOf(
  { widthIn, gapIn }: DoubleStrap,
  { overlapIn }: LinesAlong,
  { near, far, straps }: Straps
): { members: Part[]; straps: Part[] } {
  const strapIn = 2 * overlapIn + gapIn;
  const beyondIn = Math.max(0.3, 0.25 * strapIn);
  return {
    members: sidesOf(overlapIn, gapIn).map(([side, fromIn, toIn]) => ({
      key: side,
      name: side === 'near' ? near : far,
      layer: straps.some((strap) => strap.layer === 'over') ? 'under' : 'over',
      outline:
        side === 'near'
          ? rect(-beyondIn, 0, toIn + beyondIn, widthIn)
          : rect(fromIn, 0, toIn - fromIn + beyondIn, widthIn),
      openings: [],
      goesOn: [side === 'near' ? 'left' : 'right'],
      addedThicknessIn: null
    })),
    straps: straps.map((strap, index) => ({
      key: `strap-${index + 1}`,
      name: strap.name,
      layer: strap.layer,
      outline: rect(0, 0, strapIn, widthIn),
      openings: [],
      goesOn: [],
      addedThicknessIn: strap.thicknessIn
    }))
  };
}

function wishesOf(
  { pattern, gapIn }: DoubleStrap,
  along: LinesAlong,
  { straps }: Pick<Straps, 'straps'>,
  { dash, edgeIn }: LayContext
): KindLayout['lines'] {
  const { lines, perLine, pitchIn, overlapIn, sideEdgeIn, transverseIn } = along;
  const strapIn = 2 * overlapIn + gapIn;
  return sidesOf(overlapIn, gapIn).flatMap(([side, fromIn, toIn]) =>
    Array.from({ length: lines }, (_, at) => {
      const shifted = pattern === 'staggered' && at % 2 === 1;
      const startIn = fromIn + edgeIn + (shifted ? pitchIn / 2 : 0);
      return {
        key: `${side}-line-${at + 1}`,
        name: `${side} side, line ${at + 1}`,
        path: straight(0, sideEdgeIn + at * (transverseIn ?? 0), strapIn),
        metalIn: [fromIn, toIn] as const,
        alongIn: Array.from(
          { length: rivetsInRow(pattern, at, perLine) },
          (_, index) => startIn + index * pitchIn
        ),
        givenIn: [],
        dash,
        stack: 0,
        through: [side, ...straps.map((_, index) => `strap-${index + 1}`)],
        endsMayMove: true,
        endsAtEdge: !shifted
      };
    })
  );
}

/** A broken member between two straps, its rivets in lines along it. x runs along the straps, y across the member. */
export function layAlong(joint: DoubleStrap, context: LayContext, held: Straps): LaidKind {
  const { widthIn, gapIn, rows, pattern, sheets } = joint;
  const required = needOfRows(context);
  if (!required.ok) return required;
  const laid = linesAlong(
    { widthIn, edgeIn: joint.edgeIn, required: required.result.required, lines: rows, pattern },
    context
  );
  if (!laid.ok) return laid;
  const {
    lines: count,
    perLine,
    pitchIn,
    overlapIn,
    sideEdgeIn,
    farEdgeIn,
    transverseIn
  } = laid.result;
  const { diameterIn: D, edgeIn, edgeWork, limits } = context;
  const strapIn = 2 * overlapIn + gapIn;
  const parts = partsOf(joint, laid.result, held);
  const lines = wishesOf(joint, laid.result, held, context);
  const strapWork = workLine(
    'strap',
    by`2 × overlap + gap = 2 × ${len(overlapIn)} + ${len(gapIn)}`,
    strapIn,
    'in'
  );
  const of = (key: string) => laid.work.filter((line) => line.key === key);
  const work = [edgeWork, ...laid.work, strapWork];
  return answer(
    {
      ...PLAIN,
      parts: [
        ...parts.straps.filter((part) => part.layer === 'under'),
        ...parts.members,
        ...parts.straps.filter((part) => part.layer === 'over')
      ],
      pieces: held.pieces(rect(0, 0, strapIn, widthIn)),
      lines,
      stackings: [{ name: 'both sides', layers: layersOf(sheets, strapIn) }],
      carrying: (['near', 'far'] as const).map((side) => ({
        need: 'joint',
        words: `the ${side} side`,
        lines: lines.filter(({ key }) => key.startsWith(side)).map(({ key }) => key),
        times: 1
      })),
      addedIn3: addedVolumeIn3(parts.straps),
      figures: [
        edgeFigure(context),
        pitchFigure(context, pitchIn, D, of('pitch')),
        ...(transverseIn === null
          ? []
          : [transverseFigure(context, transverseIn, of('transverse'))]),
        figure('side-edge', 'First line from the member’s edge', sideEdgeIn, of('lines')),
        figure(
          'strap',
          held.straps.length > 1 ? 'Straps' : 'Strap',
          strapIn,
          [...of('overlap'), strapWork],
          by`by ${unitLen(widthIn)} across the member`
        )
      ],
      checks: [
        wholeCheck(
          'edge-max',
          'most',
          limits.edgeMaxD * D,
          Math.max(edgeIn, sideEdgeIn, farEdgeIn)
        ),
        ...(transverseIn === null
          ? []
          : [wholeCheck('transverse-min', 'least', limits.transverseMinD * D, transverseIn)])
      ],
      dims: [
        { axis: 'x', fromIn: 0, toIn: strapIn, side: 'top', label: 'strap', strong: true },
        { axis: 'y', fromIn: 0, toIn: widthIn, side: 'left' },
        ...(below(0, gapIn)
          ? [
              {
                axis: 'x' as const,
                fromIn: overlapIn,
                toIn: overlapIn + gapIn,
                side: 'bottom' as const,
                label: 'gap'
              }
            ]
          : [])
      ],
      widthIn: strapIn,
      heightIn: widthIn,
      // each rivet of a line works on that line's share of the member
      rowsSharing: perLine,
      shareIn: widthIn / count,
      pitchIn,
      transverseIn,
      work,
      warnings: held.warnings
    },
    work
  );
}
