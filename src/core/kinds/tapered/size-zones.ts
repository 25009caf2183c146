import type { Dash } from '../../schema/fields.ts';

/** A stretch of the member with one rivet size; inches from the datum end. */
export interface SizeZone {
  fromIn: number;
  toIn: number;
  dash: Dash;
}

/** Size zones of a tapered member from end to end; without any, one zone of the joint's own size. */
export function sizeZones(
  { zones, lengthIn }: { zones: readonly { dash: Dash; toIn: number }[]; lengthIn: number },
  dash: Dash
): SizeZone[] {
  const inside = zones.filter((zone) => zone.toIn < lengthIn).sort((a, b) => a.toIn - b.toIn);
  const lastSize = zones.find((zone) => zone.toIn >= lengthIn)?.dash ?? dash;
  let fromIn = 0;
  const ends = [...inside, { dash: lastSize, toIn: lengthIn }];
  return ends.map((zone) => {
    const made = { fromIn, toIn: zone.toIn, dash: zone.dash };
    fromIn = zone.toIn;
    return made;
  });
}
