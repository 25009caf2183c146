import { circle, rect, type Part, type Shape } from '../../layout/shapes.ts';
import { insertThicknessIn } from '../shared/insert-stack.ts';
import { beside, cutPieces, type Piece } from '../pieces.ts';
import type { Round } from './fields.ts';
import type { RoundGeometry } from './geometry.ts';

/** The hole in the skin. */
export const cutOutOf = ({ outerIn, cutRadiusIn }: RoundGeometry): Shape =>
  circle(outerIn, outerIn, cutRadiusIn);

/** Everything that is taken in hand. */
export function roundPieces(joint: Round, geometry: RoundGeometry): Piece[] {
  const { outerIn, insertRadiusIn, insert } = geometry;
  const sheets = cutPieces(joint.sheets, (layer) => layer > 1, circle(outerIn, outerIn, outerIn));
  return insert
    ? beside(sheets, [
        {
          name: 'insert',
          layer: 1,
          thicknessIn: insertThicknessIn(joint),
          cut: circle(outerIn, outerIn, insertRadiusIn),
          clearanceIn: joint.insertClearanceIn
        }
      ])
    : sheets;
}

/** Doubler, skin and insert, from below. */
export function roundParts(joint: Round, geometry: RoundGeometry): Part[] {
  const { outerIn, insertRadiusIn, insert } = geometry;
  const [skin, ...backing] = joint.sheets;
  const beyondIn = Math.max(0.4, 0.15 * outerIn);
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
      outline: rect(-beyondIn, -beyondIn, 2 * (outerIn + beyondIn), 2 * (outerIn + beyondIn)),
      openings: [cutOutOf(geometry)],
      goesOn: ['left', 'right', 'top', 'bottom'],
      addedThicknessIn: null
    }
  ];
  if (insert)
    parts.push({
      key: 'insert',
      name: 'insert',
      layer: 'filler',
      outline: circle(outerIn, outerIn, insertRadiusIn),
      openings: [],
      goesOn: [],
      addedThicknessIn: insertThicknessIn(joint)
    });
  return parts;
}
