import type { Sheet } from '../joint/sheets.ts';
import { atLeast, atMost } from '../units/tolerance.ts';

/** A sheet as it lies along a joint, linear between its ends; inches. */
export interface StackLayer {
  name: string;
  /** the joint's sheet that it is, by its id; null where it is no sheet of a list */
  sheet: string | null;
  fromIn: number;
  toIn: number;
  thicknessAtFromIn: number;
  thicknessAtToIn: number;
  /** sealant and primer that stay on it */
  coatIn: number;
  material: Sheet['material'];
  film: boolean;
  /** its own hole, where it is drilled larger than the rivet asks */
  holeIn: number | null;
}

/** A sheet as thick as it is at one hole, in. */
export type HeldSheet = Pick<
  StackLayer,
  'name' | 'sheet' | 'coatIn' | 'material' | 'film' | 'holeIn'
> & {
  thicknessIn: number;
};

/** The layers that a group of rivet lines goes through, the one under the manufactured head first. */
export interface Stacking {
  name: string;
  layers: StackLayer[];
}

/** Thickness of a layer at a place, or null where it does not lie. A hole on a layer's very end still goes through it. */
export function thicknessAt(
  layer: Pick<StackLayer, 'fromIn' | 'toIn' | 'thicknessAtFromIn' | 'thicknessAtToIn'>,
  xIn: number
): number | null {
  const { fromIn, toIn, thicknessAtFromIn, thicknessAtToIn } = layer;
  if (!atLeast(xIn, fromIn) || !atMost(xIn, toIn)) return null;
  if (thicknessAtFromIn === thicknessAtToIn) return thicknessAtFromIn;
  const share = (xIn - fromIn) / (toIn - fromIn);
  return thicknessAtFromIn + share * (thicknessAtToIn - thicknessAtFromIn);
}

/**
 * Sheets as they lie along a joint.
 *
 * @param alongIn how far the joint runs, in; null where its layers cannot begin or end
 */
export const layersOf = (
  sheets: readonly (Pick<Sheet, 'name' | 'thicknessIn'> & Partial<Sheet>)[],
  alongIn: number | null
): StackLayer[] =>
  sheets.map(({ name, thicknessIn, ...given }) => ({
    name,
    sheet: given.id ?? null,
    fromIn: alongIn === null ? -Infinity : (given.fromIn ?? 0),
    toIn: alongIn === null ? Infinity : (given.toIn ?? alongIn),
    thicknessAtFromIn: thicknessIn,
    thicknessAtToIn: given.endThicknessIn ?? thicknessIn,
    coatIn: given.coatIn ?? 0,
    material: given.material ?? '',
    film: given.film ?? false,
    holeIn: null
  }));

/** @returns whether the stack differs from place to place along a joint of this length, in */
export const varies = (layers: readonly StackLayer[], alongIn: number): boolean =>
  layers.some(
    ({ fromIn, toIn, thicknessAtFromIn, thicknessAtToIn }) =>
      thicknessAtFromIn !== thicknessAtToIn || fromIn > 0 || toIn < alongIn
  );

/** The sheets at a place, each as thick as it is there. */
export function heldAt(layers: readonly StackLayer[], xIn: number): HeldSheet[] {
  return layers.flatMap((layer) => {
    const thicknessIn = thicknessAt(layer, xIn);
    if (thicknessIn === null) return [];
    const { name, sheet, coatIn, material, film, holeIn } = layer;
    return [{ name, sheet, thicknessIn, coatIn, material, film, holeIn }];
  });
}

/** Total held: every sheet with what stays on it, in (stack-up). */
export const gripOf = (held: readonly HeldSheet[]): number =>
  held.reduce((sum, { thicknessIn, coatIn }) => sum + thicknessIn + coatIn, 0);
