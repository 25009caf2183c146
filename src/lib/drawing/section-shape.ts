import type { RivetSize } from '../../core/catalog/rivets.ts';
import type { Head } from '../../core/schema/fields.ts';

/** A cross-section through one rivet in inches: x from its axis, y down from the outer sheet's face. */
export interface SectionShape {
  /** each sheet as a band */
  sheets: { name: string; topIn: number; bottomIn: number }[];
  gripIn: number;
  /** outline of the manufactured head, right half, from the axis outward and back to the shank */
  headIn: [number, number][];
  /** how far the head stands over the face */
  headProudIn: number;
  shankRadiusIn: number;
  holeRadiusIn: number;
  /** of the countersink at the face; null for a protruding head */
  sinkRadiusIn: number | null;
  sinkDepthIn: number;
  /** end of the undriven shank, below the face */
  shankEndIn: number;
}

const ROUND_STEPS = 14;

/** Right half of a domed head: an ellipse of the head's own diameter and height. */
function domed(radiusIn: number, heightIn: number): [number, number][] {
  return Array.from({ length: ROUND_STEPS + 1 }, (_, step) => {
    const angleRad = (Math.PI / 2) * (step / ROUND_STEPS);
    return [radiusIn * Math.sin(angleRad), -heightIn * Math.cos(angleRad)];
  });
}

/**
 * The section through one rivet before driving.
 *
 * @param sheets names and thicknesses, in, the outer first
 * @param lengthIn under the head for universal, overall for countersunk: both end this far below the face
 */
export function sectionShape(
  sheets: readonly { name: string; thicknessIn: number }[],
  rivet: RivetSize,
  head: Head,
  holeIn: number,
  lengthIn: number
): SectionShape {
  let depthIn = 0;
  const bands = sheets.map(({ name, thicknessIn }) => {
    const topIn = depthIn;
    depthIn += thicknessIn;
    return { name, topIn, bottomIn: depthIn };
  });
  const shankRadiusIn = rivet.diameterIn / 2;
  const { diameterIn, heightIn } = rivet.head[head];
  const flush = head === 'countersunk';
  return {
    sheets: bands,
    gripIn: depthIn,
    headIn: flush
      ? [
          [0, 0],
          [diameterIn / 2, 0],
          [shankRadiusIn, heightIn]
        ]
      : domed(diameterIn / 2, heightIn),
    headProudIn: flush ? 0 : heightIn,
    shankRadiusIn,
    holeRadiusIn: holeIn / 2,
    sinkRadiusIn: flush ? diameterIn / 2 : null,
    sinkDepthIn: flush ? heightIn : 0,
    shankEndIn: lengthIn
  };
}
