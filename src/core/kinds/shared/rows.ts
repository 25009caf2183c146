import { BrokenPrecondition } from '../../units/broken-precondition.ts';
import type { Answer } from '../../answer.ts';
import type { Need } from '../../size/need.ts';
import { rowLayout, type RowLayoutInput, type RowLayoutResult } from '../../layout/row-layout.ts';
import type { HoleCheck, LayContext, LayoutFigure } from '../kind-layout.ts';
import { edgeFigure, pitchFigure, transverseFigure } from './common-figures.ts';

export type Rowed = Pick<RowLayoutInput, 'widthIn' | 'rows' | 'pattern' | 'scale'>;

/** What the rows of a joint with one width must carry. */
export function needOfRows({ needs }: LayContext): Need['required'] {
  const required = needs[0]?.required;
  if (!required) throw new BrokenPrecondition('needs.0', 'the need of a rowed joint', 'none');
  return required;
}

/** Straight rows for the first need, as the `row-layout` calculation gives them. */
export function layRows(joint: Rowed, context: LayContext): Answer<RowLayoutResult> {
  const required = needOfRows(context);
  if (!required.ok) return required;
  const { widthIn, rows, pattern, scale } = joint;
  return rowLayout(
    {
      widthIn,
      dash: context.dash,
      head: context.head,
      required: required.result.required,
      rows,
      pattern,
      scale,
      edgeIn: context.edgeIn,
      prefer: context.nearPitchIn === null ? 'fewest' : 'near',
      ...(context.nearPitchIn === null ? {} : { nearPitchIn: context.nearPitchIn })
    },
    context.limits
  );
}

/** Edge, pitch and row distance of straight rows. */
export function rowFigures(
  context: LayContext,
  { rows, pitchIn, transverseIn }: RowLayoutResult,
  work: Extract<Answer<unknown>, { ok: true }>['work']
): LayoutFigure[] {
  const lines = (of: string) => work.filter(({ key }) => key === of);
  return [
    edgeFigure(context),
    pitchFigure(context, pitchIn, context.diameterIn, lines('pitch')),
    ...(rows.length > 1 ? [transverseFigure(context, transverseIn, lines('transverse'))] : [])
  ];
}

/** The row layout's limits of the joint as a whole; those of single holes are judged where the holes end up. */
export const wholeChecks = ({ checks }: RowLayoutResult): HoleCheck[] =>
  checks
    .filter(({ rule }) => rule === 'edge-max' || rule === 'transverse-min')
    .map((check) => ({ ...check, holes: [] }));
