import type { Sheet } from '../joint/sheets.ts';
import type { Shape } from '../layout/shapes.ts';

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

/** The sheets themselves, one a layer. */
export const sheetPieces = (sheets: readonly Named[]): Piece[] =>
  sheets.map(({ name, thicknessIn }, at) => ({ name, layer: at + 1, thicknessIn }));

/** The sheets, those of some layers cut to an outline. */
export const cutPieces = (
  sheets: readonly Named[],
  isCut: (layer: number) => boolean,
  outline: Shape
): Piece[] =>
  sheetPieces(sheets).map((piece) => (isCut(piece.layer) ? { ...piece, cut: outline } : piece));

/** Parts that lie beside others of their layer, each behind its neighbor. */
export const beside = (pieces: readonly Piece[], more: readonly Piece[]): Piece[] =>
  [...pieces, ...more].sort((a, b) => a.layer - b.layer);
