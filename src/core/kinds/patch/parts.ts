import { rect, type Part, type Shape } from '../../layout/shapes.ts';
import { beside, cutPieces, type Piece } from '../pieces.ts';
import type { Relief } from '../kind-layout.ts';
import { insertThicknessIn } from '../shared/insert-stack.ts';
import type { Patch } from './fields.ts';
import type { PatchGeometry } from './geometry.ts';

/** How far the skin is shown beyond the doubler: enough to see that it goes on. */
const shownBeyondIn = ({ w, h }: PatchGeometry['doubler']): number =>
  Math.max(0.4, 0.12 * Math.max(w, h));

/** The hole in the skin, or the damage where a crack stays. */
export const cutOutOf = (joint: Patch, { borderIn }: PatchGeometry): Shape =>
  rect(borderIn, borderIn, joint.cutoutWIn, joint.cutoutHIn, joint.cornerRadiusIn);

/** Whether the damage is cut out: a crack that stays is bridged. */
export const isCutOut = ({ crackIn }: Patch): boolean => crackIn === null;

/** Holes that the cuts end in, one a corner. */
export function reliefsOf(joint: Patch, { borderIn }: PatchGeometry): Relief[] {
  if (!isCutOut(joint)) return [];
  const { cutoutWIn, cutoutHIn, cornerRadiusIn: r } = joint;
  return [0, 1].flatMap((right) =>
    [0, 1].map((low) => ({
      xIn: right ? borderIn + cutoutWIn - r : borderIn + r,
      yIn: low ? borderIn + cutoutHIn - r : borderIn + r,
      diameterIn: 2 * r
    }))
  );
}

function insertOf(joint: Patch, { insertIn, borderIn }: PatchGeometry): Part[] {
  if (!insertIn) return [];
  const atIn = borderIn + joint.insertClearanceIn;
  const radiusIn = Math.max(0, joint.cornerRadiusIn - joint.insertClearanceIn);
  return [
    {
      key: 'insert',
      name: 'insert',
      layer: 'filler',
      outline: rect(atIn, atIn, insertIn.w, insertIn.h, radiusIn),
      openings: [],
      goesOn: [],
      addedThicknessIn: insertThicknessIn(joint)
    }
  ];
}

/** What lies where: under the manufactured head the plate, or the skin. */
export const layersOfPatch = ({ style }: Pick<Patch, 'style'>): { skin: number; plate: number } =>
  style === 'plate-over' ? { skin: 2, plate: 1 } : { skin: 1, plate: 2 };

/** Everything that is taken in hand: a doubler may be of several sheets, all cut alike. */
export function patchPieces(joint: Patch, geometry: PatchGeometry): Piece[] {
  const { doubler } = geometry;
  const { plate } = layersOfPatch(joint);
  const sheets = cutPieces(
    joint.sheets,
    (layer) => (plate === 1 ? layer === 1 : layer > 1),
    rect(0, 0, doubler.w, doubler.h)
  );
  const [insert] = insertOf(joint, geometry);
  return insert
    ? beside(sheets, [
        {
          name: insert.name,
          layer: 1,
          thicknessIn: insertThicknessIn(joint),
          cut: insert.outline,
          clearanceIn: joint.insertClearanceIn
        }
      ])
    : sheets;
}

/** Skin, doubler or plate, and insert, from below; `added` are those that the joint adds. */
export function patchParts(
  joint: Patch,
  geometry: PatchGeometry
): { parts: Part[]; added: Part[] } {
  const { doubler } = geometry;
  const [first, ...backing] = joint.sheets;
  const over = joint.style === 'plate-over';
  const beyondIn = shownBeyondIn(doubler);
  const skin: Part = {
    key: 'skin',
    name: (over ? backing[0]?.name : first?.name) ?? 'skin',
    layer: over ? 'under' : 'over',
    outline: rect(-beyondIn, -beyondIn, doubler.w + 2 * beyondIn, doubler.h + 2 * beyondIn),
    openings: isCutOut(joint) ? [cutOutOf(joint, geometry)] : [],
    goesOn: ['left', 'right', 'top', 'bottom'],
    addedThicknessIn: null
  };
  const plate: Part = {
    key: 'doubler',
    name: (over ? first?.name : backing[0]?.name) ?? 'doubler',
    layer: over ? 'over' : 'under',
    outline: rect(0, 0, doubler.w, doubler.h),
    openings: [],
    goesOn: [],
    addedThicknessIn: over
      ? (first?.thicknessIn ?? 0)
      : backing.reduce((sum, sheet) => sum + sheet.thicknessIn, 0)
  };
  const insert = insertOf(joint, geometry);
  return {
    parts: over ? [skin, plate] : [plate, skin, ...insert],
    added: [plate, ...insert]
  };
}
