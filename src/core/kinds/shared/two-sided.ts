import { answer, workLine } from '../../answer.ts';
import { by, len, unitLen } from '../../notation.ts';
import { straight, type LineWish } from '../../layout/lines.ts';
import { addedVolumeIn3, rect, type Part, type Shape } from '../../layout/shapes.ts';
import type { Stacking } from '../../stack/layers.ts';
import { figure } from './common-figures.ts';
import type { Piece } from '../pieces.ts';
import { PLAIN, type KindLayout, type LaidKind, type LayContext } from '../kind-layout.ts';
import { layRows, rowFigures, wholeChecks, type Rowed } from './rows.ts';

export interface Sides {
  /** the two members that meet, near the datum's top edge first */
  near: string;
  far: string;
  straps: { name: string; layer: 'over' | 'under'; thicknessIn: number }[];
  /** near and far */
  stackings: Stacking[];
  /** everything that is taken in hand, its straps of this outline */
  pieces(strap: Shape): Piece[];
  warnings: KindLayout['warnings'];
}

/** Two ends that meet under straps: the same rows on both sides of the meeting line. y runs from the strap's edge. */
export function layTwoSided(
  joint: Rowed & { gapIn: number },
  context: LayContext,
  { near, far, straps, stackings, pieces, warnings }: Sides
): LaidKind {
  const laid = layRows(joint, context);
  if (!laid.ok) return laid;
  const { rows, overlapIn, pitchIn, transverseIn } = laid.result;
  const { widthIn, gapIn } = joint;
  const strapIn = 2 * overlapIn + gapIn;
  const beyondIn = Math.max(0.3, 0.25 * strapIn);
  const nearEndIn = overlapIn;
  const farEndIn = overlapIn + gapIn;
  const member = (key: string, name: string, top: number, bottom: number): Part => ({
    key,
    name,
    layer: straps.some((strap) => strap.layer === 'over') ? 'under' : 'over',
    outline: rect(0, top, widthIn, bottom - top),
    openings: [],
    goesOn: [key === 'near' ? 'top' : 'bottom'],
    addedThicknessIn: null
  });
  const strapParts: Part[] = straps.map((strap, index) => ({
    key: `strap-${index + 1}`,
    name: strap.name,
    layer: strap.layer,
    outline: rect(0, 0, widthIn, strapIn),
    openings: [],
    goesOn: [],
    addedThicknessIn: strap.thicknessIn
  }));
  const line = (side: 'near' | 'far', row: number, yIn: number): LineWish => ({
    key: `${side}-${row + 1}`,
    name: `${side} side, row ${row + 1} from the ${gapIn > 0 ? 'gap' : 'meeting line'}`,
    path: straight(0, yIn, widthIn),
    alongIn: rows[row]?.marksIn ?? [],
    givenIn: [],
    dash: context.dash,
    stack: side === 'far' && stackings.length > 1 ? 1 : 0,
    through: [side, ...strapParts.map((part) => part.key)],
    endsMayMove: true,
    endsAtEdge: joint.pattern === 'in-line' || row % 2 === 0
  });
  const lines = [
    ...rows.map(({ offsetIn }, row) => line('near', row, nearEndIn - offsetIn)).reverse(),
    ...rows.map(({ offsetIn }, row) => line('far', row, farEndIn + offsetIn))
  ];
  const strapWork = workLine(
    'strap',
    by`2 × (2 × edge + (rows − 1) × between rows) + gap = 2 × ${len(overlapIn)} + ${len(gapIn)}`,
    strapIn,
    'in'
  );
  return answer(
    {
      ...PLAIN,
      parts: [
        ...strapParts.filter((part) => part.layer === 'under'),
        member('near', near, nearEndIn - overlapIn - beyondIn, nearEndIn),
        member('far', far, farEndIn, farEndIn + overlapIn + beyondIn),
        ...strapParts.filter((part) => part.layer === 'over')
      ],
      pieces: pieces(rect(0, 0, widthIn, strapIn)),
      lines,
      stackings,
      carrying: (['near', 'far'] as const).map((side) => ({
        need: 'joint',
        words: `the ${side} side`,
        lines: lines.filter(({ key }) => key.startsWith(side)).map(({ key }) => key),
        times: 1
      })),
      addedIn3: addedVolumeIn3(strapParts),
      figures: [
        ...rowFigures(context, laid.result, laid.work),
        figure(
          'strap',
          straps.length > 1 ? 'Straps' : 'Strap',
          strapIn,
          [strapWork],
          by`by ${unitLen(widthIn)} along the rows`
        )
      ],
      checks: wholeChecks(laid.result),
      dims: [
        { axis: 'x', fromIn: 0, toIn: widthIn, side: 'top', strong: true },
        { axis: 'y', fromIn: 0, toIn: strapIn, side: 'left', label: 'strap' },
        ...(gapIn > 0
          ? [
              {
                axis: 'y' as const,
                fromIn: nearEndIn,
                toIn: farEndIn,
                side: 'right' as const,
                label: 'gap'
              }
            ]
          : [])
      ],
      widthIn,
      heightIn: strapIn,
      rowsSharing: rows.length,
      pitchIn,
      transverseIn: rows.length > 1 ? transverseIn : null,
      work: [...laid.work, strapWork],
      warnings
    },
    [...laid.work, strapWork]
  );
}
