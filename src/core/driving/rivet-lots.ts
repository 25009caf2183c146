/** The lot that rivets of a part number come from. */
export interface RivetLot {
  lot: string;
  at: string;
  by: string;
}
/** Somebody told of which lot the rivets of a part number are from then on. */
export interface LotTold extends RivetLot {
  part: string;
}

/** By part number, the lot that was told last; of one instant the one recorded later. */
export function latestLots(
  told: readonly LotTold[],
  from: ReadonlyMap<string, RivetLot> = new Map()
): Map<string, RivetLot> {
  const lots = new Map(from);
  for (const { part, lot, at, by } of told) {
    const before = lots.get(part);
    if (!before || Date.parse(at) >= Date.parse(before.at)) lots.set(part, { lot, at, by });
  }
  return lots;
}

/** The lot that rivets of a part number came from at an instant; null where nobody had told by then. */
export const lotAt = (told: readonly LotTold[], part: string, atMs: number): string | null =>
  latestLots(told.filter(({ at }) => Date.parse(at) <= atMs)).get(part)?.lot ?? null;
