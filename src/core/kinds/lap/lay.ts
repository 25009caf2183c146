import { answer } from '../../answer.ts';
import type { Lap } from './fields.ts';
import { layersOf } from '../../stack/layers.ts';
import { straight, type LineWish } from '../../layout/lines.ts';
import { rect, type Part } from '../../layout/shapes.ts';
import { figure } from '../shared/common-figures.ts';
import { sheetPieces } from '../pieces.ts';
import { PLAIN, type LaidKind, type LayContext } from '../kind-layout.ts';
import { layRows, rowFigures, wholeChecks } from '../shared/rows.ts';

/** How far beyond the lap a sheet is shown: enough to see that it goes on. */
const shownBeyondIn = (overlapIn: number): number => Math.max(0.3, 0.55 * overlapIn);

/** Two or more sheets over each other, rivets in straight rows. y runs from the upper sheet's end. */
export function layLap(joint: Lap, context: LayContext): LaidKind {
  const laid = layRows(joint, context);
  if (!laid.ok) return laid;
  const { rows, overlapIn, pitchIn, transverseIn } = laid.result;
  const { widthIn, sheets } = joint;
  const beyondIn = shownBeyondIn(overlapIn);
  const [upper, ...lower] = sheets;
  const parts: Part[] = [
    {
      key: 'lower',
      name: lower.map((sheet) => sheet.name).join(' and '),
      layer: 'under',
      outline: rect(0, -beyondIn, widthIn, beyondIn + overlapIn),
      openings: [],
      goesOn: ['top'],
      addedThicknessIn: null
    },
    {
      key: 'upper',
      name: upper?.name ?? 'upper sheet',
      layer: 'over',
      outline: rect(0, 0, widthIn, overlapIn + beyondIn),
      openings: [],
      goesOn: ['bottom'],
      addedThicknessIn: null
    }
  ];
  const lines: LineWish[] = rows.map(({ offsetIn, marksIn }, row) => ({
    key: `row-${row + 1}`,
    name: `row ${row + 1}`,
    path: straight(0, offsetIn, widthIn),
    alongIn: marksIn,
    givenIn: [],
    dash: context.dash,
    stack: 0,
    through: ['lower', 'upper'],
    endsMayMove: true,
    // a staggered row's ends lie half a pitch in
    endsAtEdge: joint.pattern === 'in-line' || row % 2 === 0
  }));
  return answer(
    {
      ...PLAIN,
      parts,
      pieces: sheetPieces(sheets),
      lines,
      stackings: [{ name: 'the lap', layers: layersOf(sheets, widthIn) }],
      carrying: [
        { need: 'joint', words: 'the joint', lines: lines.map(({ key }) => key), times: 1 }
      ],
      addedIn3: overlapIn * widthIn * lower.reduce((sum, { thicknessIn }) => sum + thicknessIn, 0),
      figures: [
        ...rowFigures(context, laid.result, laid.work),
        figure(
          'overlap',
          'Overlap',
          overlapIn,
          laid.work.filter(({ key }) => key === 'overlap')
        )
      ],
      checks: wholeChecks(laid.result),
      dims: [
        { axis: 'x', fromIn: 0, toIn: widthIn, side: 'top', strong: true },
        { axis: 'y', fromIn: 0, toIn: overlapIn, side: 'left', label: 'lap' }
      ],
      widthIn,
      heightIn: overlapIn,
      rowsSharing: rows.length,
      pitchIn,
      transverseIn: rows.length > 1 ? transverseIn : null,
      work: laid.work
    },
    laid.work
  );
}
