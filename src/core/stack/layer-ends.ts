import type { StackLayer } from './layers.ts';
import { above, atLeast, atMost, below } from '../units/tolerance.ts';

/** An end of a layer inside the joint, where its metal stops; x in inches. */
export interface LayerEnd {
  /** its place among the layers: two may have one name */
  at: number;
  layer: string;
  /** of the sheet it is, where it is one */
  sheet: string | null;
  end: 'begin' | 'end';
  xIn: number;
}

/**
 * Ends of layers that are no edge of the joint.
 *
 * @param alongIn how far the joint runs, in
 */
export const layerEnds = (layers: readonly StackLayer[], alongIn: number): LayerEnd[] =>
  layers.flatMap(({ name, sheet, fromIn, toIn }, at): LayerEnd[] => [
    ...(fromIn !== -Infinity && above(fromIn, 0)
      ? [{ at, layer: name, sheet, end: 'begin' as const, xIn: fromIn }]
      : []),
    ...(toIn !== Infinity && below(toIn, alongIn)
      ? [{ at, layer: name, sheet, end: 'end' as const, xIn: toIn }]
      : [])
  ]);

/**
 * How far a hole is from an end of a layer: what is left of that layer beside it, in; negative where the layer does not lie
 * under it. Null where it is clear of the layer altogether.
 *
 * @param radiusIn of the hole: one that does not go through a layer may still cut into its end
 */
export function fromLayerEndIn(
  { end, xIn }: Pick<LayerEnd, 'end' | 'xIn'>,
  layer: Pick<StackLayer, 'fromIn' | 'toIn'>,
  holeXIn: number,
  radiusIn: number
): number | null {
  const insideIn = end === 'begin' ? holeXIn - xIn : xIn - holeXIn;
  const lies = atLeast(holeXIn, layer.fromIn) && atMost(holeXIn, layer.toIn);
  return lies || (below(insideIn, 0) && above(insideIn, -radiusIn)) ? insideIn : null;
}
