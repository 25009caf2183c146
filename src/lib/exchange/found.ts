/** What a drawing or a table of holes holds, in its own units; x right, y down. */
export interface Found {
  holes: { x: number; y: number; diameter: number | null; layer: string }[];
  /** the rectangle round all lines; null where there are none */
  outline: { x: number; y: number; w: number; h: number } | null;
  /** null when the file does not say: whoever imports it must */
  inPerUnit: number | null;
}

export type DrawingRead = { ok: true; found: Found } | { ok: false; message: string };
