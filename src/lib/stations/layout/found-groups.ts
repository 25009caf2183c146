import { boxRound, type Box, type Found } from '$lib/exchange/found.ts';
import type { OutlineFields } from '$core/kinds/kind.ts';

/** Holes of one layer and one size, or a layer's lines: what is taken or left together. */
export interface FoundGroup {
  key: string;
  layer: string;
  /** in the file's unit; null for points */
  diameter: number | null;
  /** none: the layer has lines only */
  holes: number;
}

/** Diameters that are written alike are one size. */
const sizeKey = (diameter: number | null): string =>
  diameter === null ? 'points' : diameter.toPrecision(4);

export function groupsOf({ holes, outlines }: Found): FoundGroup[] {
  const groups = new Map<string, FoundGroup>();
  for (const { layer, diameter } of holes) {
    const key = `${layer}\n${sizeKey(diameter)}`;
    const group = groups.get(key) ?? { key, layer, diameter, holes: 0 };
    group.holes += 1;
    groups.set(key, group);
  }
  for (const { layer } of outlines)
    if (!holes.some((hole) => hole.layer === layer))
      groups.set(`${layer}\n`, { key: `${layer}\n`, layer, diameter: null, holes: 0 });
  return [...groups.values()].sort(
    (a, b) => a.layer.localeCompare(b.layer) || (a.diameter ?? 0) - (b.diameter ?? 0)
  );
}

/** What is left of a drawing when only some groups are taken; a layer's lines go with the last of its groups. */
export function chosenOf(
  found: Found,
  taken: (group: string) => boolean
): { holes: Found['holes']; outline: Box | null } {
  const layers = new Set(groupsOf(found).flatMap(({ key, layer }) => (taken(key) ? [layer] : [])));
  return {
    holes: found.holes.filter(({ layer, diameter }) => taken(`${layer}\n${sizeKey(diameter)}`)),
    outline: boxRound(found.outlines.filter(({ layer }) => layers.has(layer)))
  };
}

/** A round cut-out's outline is as wide as it is high, within this share. */
const ROUND_SHARE = 0.01;

/**
 * Which fields of the joint an outline fills, with what.
 *
 * @returns in; empty where its size is none of the joint's
 */
export function outlineFields(
  { across, down, round = false }: OutlineFields,
  { w, h }: Box,
  inPerUnit: number
): { path: string; sizeIn: number }[] {
  if (!(w > 0) || (down !== null && !(h > 0))) return [];
  if (round && Math.abs(w - h) > ROUND_SHARE * w) return [];
  return [
    { path: across, sizeIn: w * inPerUnit },
    ...(down === null ? [] : [{ path: down, sizeIn: h * inPerUnit }])
  ];
}
