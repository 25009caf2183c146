/** A rectangle in a drawing's own units; x right, y down. */
export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** What a drawing or a table of holes holds, in its own units; x right, y down. */
export interface Found {
  holes: { x: number; y: number; diameter: number | null; layer: string }[];
  /** the rectangle round all lines of each layer that has any */
  outlines: (Box & { layer: string })[];
  /** null when the file does not say: whoever imports it must */
  inPerUnit: number | null;
  /** what might have been a hole or an edge and was not taken, with why */
  leftOut: { what: string; count: number }[];
}

export type DrawingRead = { ok: true; found: Found } | { ok: false; message: string };

/** The rectangle round several; null round none. */
export function boxRound(boxes: readonly Box[]): Box | null {
  if (boxes.length === 0) return null;
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y, w, h } of boxes) {
    left = Math.min(left, x);
    top = Math.min(top, y);
    right = Math.max(right, x + w);
    bottom = Math.max(bottom, y + h);
  }
  return { x: left, y: top, w: right - left, h: bottom - top };
}
