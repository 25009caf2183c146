import { LOOKS_SAME_IN } from '../units/tolerance.ts';
import { thicknessAt, type StackLayer } from './layers.ts';

/** One layer between two neighbouring places: how deep its faces lie beneath the top there, inches. */
export interface LayerPiece {
  /** its layer, from the top */
  layer: number;
  fromIn: number;
  toIn: number;
  topFromIn: number;
  topToIn: number;
  thickFromIn: number;
  thickToIn: number;
}

/** Layers along a joint, stacked from the top wherever they begin and end; inches. */
export interface LayerProfile {
  /** where any layer begins or ends, and the joint's ends */
  placesIn: number[];
  pieces: LayerPiece[];
  /** the most that lies over each other anywhere, sealant counted */
  tallestIn: number;
  /** of every layer, the depth of its middle where it begins */
  middlesIn: number[];
}

/** The total over some layers at a place, sealant counted; in. */
const totalAt = (layers: readonly StackLayer[], atIn: number): number =>
  layers.reduce((sum, layer) => {
    const thickIn = thicknessAt(layer, atIn);
    return thickIn === null ? sum : sum + thickIn + layer.coatIn;
  }, 0);

/** @param alongIn how long the joint is, in */
export function layerProfile(layers: readonly StackLayer[], alongIn: number): LayerProfile {
  const changesIn = layers.flatMap(({ fromIn, toIn }) =>
    [fromIn, toIn].filter((at) => at > 0 && at < alongIn)
  );
  const placesIn = [...new Set([0, alongIn, ...changesIn])].sort((a, b) => a - b);
  const pieces: LayerPiece[] = [];
  let tallestIn = 0;
  placesIn.slice(1).forEach((toIn, at) => {
    const fromIn = placesIn[at] ?? 0;
    // just inside: where one layer ends another may begin
    const [afterIn, beforeIn] = [fromIn + LOOKS_SAME_IN, toIn - LOOKS_SAME_IN];
    let [topFromIn, topToIn] = [0, 0];
    layers.forEach((layer, index) => {
      const thickFromIn = thicknessAt(layer, afterIn);
      const thickToIn = thicknessAt(layer, beforeIn);
      if (thickFromIn === null || thickToIn === null) return;
      pieces.push({ layer: index, fromIn, toIn, topFromIn, topToIn, thickFromIn, thickToIn });
      topFromIn += thickFromIn + layer.coatIn;
      topToIn += thickToIn + layer.coatIn;
    });
    tallestIn = Math.max(tallestIn, totalAt(layers, afterIn), totalAt(layers, beforeIn));
  });
  const middlesIn = layers.map((layer, index) => {
    const atIn = Math.max(0, layer.fromIn) + LOOKS_SAME_IN;
    return totalAt(layers.slice(0, index), atIn) + layer.thicknessAtFromIn / 2;
  });
  return { placesIn, pieces, tallestIn, middlesIn };
}
