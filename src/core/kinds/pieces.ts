import type { Sheet } from '../joint/sheets.ts';
import { rect, type Shape } from '../layout/shapes.ts';

/** A part as one takes it in hand: every sheet, and what a list of sheets does not show, as an insert in the hole of one. */
export interface Piece {
  name: string;
  /** in which layer it lies, the one under the manufactured head 1; an insert lies in its skin's */
  layer: number;
  thicknessIn: number;
  /** what is cut for this joint, to this outline */
  cut?: Shape;
  /** filed to fit into the hole of another, with so much all round; in */
  clearanceIn?: number;
}

type Named = Pick<Sheet, 'name' | 'thicknessIn'>;
type Laid = Named & Partial<Pick<Sheet, 'fromIn' | 'toIn'>>;

/** An outline between the ends of a sheet that begins or ends along the joint. */
function between(outline: Shape, { fromIn, toIn }: Laid): Shape {
  if (outline.shape !== 'rect' || (fromIn ?? toIn ?? null) === null) return outline;
  const { xIn, yIn, wIn, hIn, radiusIn } = outline;
  const beginIn = Math.max(xIn, fromIn ?? xIn);
  const endIn = Math.min(xIn + wIn, toIn ?? xIn + wIn);
  return rect(beginIn, yIn, Math.max(0, endIn - beginIn), hIn, radiusIn);
}

/** The sheets themselves, one a layer. */
export const sheetPieces = (sheets: readonly Named[]): Piece[] =>
  sheets.map(({ name, thicknessIn }, at) => ({ name, layer: at + 1, thicknessIn }));

/** The sheets, those of some layers cut to an outline, as far as each lies. */
export const cutPieces = (
  sheets: readonly Laid[],
  isCut: (layer: number) => boolean,
  outline: Shape
): Piece[] =>
  sheetPieces(sheets).map((piece, at) =>
    isCut(piece.layer) ? { ...piece, cut: between(outline, sheets[at] ?? piece) } : piece
  );

/** Parts that lie beside others of their layer, each behind its neighbor. */
export const beside = (pieces: readonly Piece[], more: readonly Piece[]): Piece[] =>
  [...pieces, ...more].sort((a, b) => a.layer - b.layer);
