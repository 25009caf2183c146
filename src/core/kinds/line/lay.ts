import { answer, workLine } from '../../answer.ts';
import { by, len, unitLen } from '../../notation.ts';
import { rivetSize } from '../../catalog/rivets.ts';
import { nominalHead } from '../../catalog/head-limits.ts';
import type { Line } from './fields.ts';
import { layersOf } from '../../stack/layers.ts';
import { evenly, straight } from '../../layout/lines.ts';
import { fewestSpaces } from '../../layout/spaces.ts';
import { above, below, floorTo } from '../../units/tolerance.ts';
import type { LayoutWarning } from '../layout-warning.ts';
import { rect } from '../../layout/shapes.ts';
import { alongSpan } from '../shared/along.ts';
import { edgeFigure, figure, pitchFigure } from '../shared/common-figures.ts';
import { sheetPieces } from '../pieces.ts';
import { PLAIN, wholeCheck, type LaidKind, type LayContext } from '../kind-layout.ts';

/** Where holes divided as asked stand closer or further apart than the limits, with the nearest count that holds them. */
function dividedOff(
  divided: readonly { low: number; high: number; more: number }[],
  leastIn: number,
  mostIn: number
): LayoutWarning[] {
  return divided.flatMap(({ low, high, more }): LayoutWarning[] => {
    const spanIn = high - low;
    const pitchIn = spanIn / (more + 1);
    if (!below(pitchIn, leastIn) && !above(pitchIn, mostIn)) return [];
    const spaces = above(pitchIn, mostIn)
      ? fewestSpaces(spanIn, mostIn)
      : floorTo(spanIn / leastIn);
    const holds = spaces > 0 && !below(spanIn / spaces, leastIn) && !above(spanIn / spaces, mostIn);
    return [
      {
        level: 'attention',
        said: {
          code: 'divided-off',
          fromIn: low,
          toIn: high,
          count: more,
          pitchIn,
          leastIn,
          mostIn,
          nearest: holds ? spaces - 1 : null
        }
      }
    ];
  });
}

/** One rivet line on a flange or stiffener. y runs from the flange's free edge towards its bend. */
export function layLine(joint: Line, context: LayContext): LaidKind {
  const { dash, diameterIn: D, edgeIn, head, limits } = context;
  const { lengthIn, flangeIn, bendRadiusIn, sheets } = joint;
  const need = context.needs[0]?.required;
  if (need && !need.ok) return need;
  const offsetIn = joint.offsetIn ?? edgeIn;
  const along = alongSpan(lengthIn - 2 * edgeIn, need?.result.required ?? 2, dash, context);
  if (!along.ok) return along;
  const { count, pitchIn } = along.result;
  const divided = joint.divides.map(({ fromIn, toIn, count: more }) => {
    const [low, high] = fromIn < toIn ? [fromIn, toIn] : [toIn, fromIn];
    return { low, high, more, holesIn: evenly(low, high, more + 2) };
  });
  const flangeSheet = sheets.at(-1);
  const bendIn = flangeIn - bendRadiusIn - (flangeSheet?.thicknessIn ?? 0);
  const headHalfIn = Math.max(rivetSize(dash).head[head].diameterIn, nominalHead(D).wideIn) / 2;
  const clearIn = Math.max(headHalfIn, context.toolRadiusIn);
  const bendWork = workLine(
    'from the bend',
    by`flange − bend radius − its thickness − line = ${len(flangeIn)} − ${len(bendRadiusIn)} − ${len(flangeSheet?.thicknessIn ?? 0)} − ${len(offsetIn)}`,
    bendIn - offsetIn,
    'in'
  );
  const divideWork = divided.map(({ low, high, more }) =>
    workLine(
      'divided between holes',
      by`${len(low)} to ${len(high)}: ${more} new holes make ${more + 1} spaces: ${len(high - low)} / ${more + 1}`,
      (high - low) / (more + 1),
      'in'
    )
  );
  const work = [context.edgeWork, ...along.result.work, bendWork, ...divideWork];
  return answer(
    {
      ...PLAIN,
      parts: [
        {
          key: 'flange',
          name: flangeSheet?.name ?? 'flange',
          layer: 'over',
          outline: rect(0, 0, lengthIn, flangeIn),
          openings: [],
          // the heel is no edge: the web goes on from it
          goesOn: ['bottom'],
          addedThicknessIn: null
        }
      ],
      pieces: sheetPieces(sheets),
      lines: [
        {
          key: 'line-1',
          name: 'rivet line',
          path: straight(0, offsetIn, lengthIn),
          alongIn: evenly(edgeIn, lengthIn - edgeIn, count),
          givenIn: divided.flatMap(({ holesIn }) => holesIn),
          // between divided holes nothing else is set
          closedIn: divided.flatMap(({ holesIn }) =>
            holesIn.slice(1).map((toIn, index) => ({ fromIn: holesIn[index] ?? toIn, toIn }))
          ),
          dash,
          stack: 0,
          through: ['flange'],
          endsMayMove: true,
          endsAtEdge: true
        }
      ],
      marksOnly: [{ name: 'bend begins', fromIn: [0, bendIn], toIn: [lengthIn, bendIn] }],
      stackings: [{ name: 'rivet line', layers: layersOf(sheets, lengthIn) }],
      carrying: [{ need: 'line', words: 'the line', lines: ['line-1'], times: 1 }],
      addedIn3: 0,
      figures: [
        edgeFigure(context),
        pitchFigure(context, pitchIn, D, along.result.work),
        figure('offset', 'Line from the flange edge', offsetIn, [
          workLine(
            'line',
            joint.offsetIn === null ? 'the edge distance' : 'as given',
            offsetIn,
            'in'
          )
        ]),
        figure(
          'bend',
          'Line from the bend',
          bendIn - offsetIn,
          [bendWork],
          by`half the head is ${unitLen(headHalfIn)}, half the widest set ${unitLen(context.toolRadiusIn)}`
        )
      ],
      checks: [wholeCheck('edge-max', 'most', limits.edgeMaxD * D, Math.max(offsetIn, edgeIn))],
      bend: { yIn: bendIn, clearIn },
      dims: [
        { axis: 'x', fromIn: 0, toIn: lengthIn, side: 'top', strong: true },
        { axis: 'y', fromIn: 0, toIn: flangeIn, side: 'left', label: 'flange' },
        { axis: 'y', fromIn: 0, toIn: offsetIn, side: 'right', label: 'line' }
      ],
      widthIn: lengthIn,
      heightIn: flangeIn,
      warnings: dividedOff(divided, limits.pitchMinD * D, limits.pitchMaxD * D),
      rowsSharing: 1,
      pitchIn,
      transverseIn: null,
      work
    },
    work
  );
}
