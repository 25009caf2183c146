import type { PlannedHole } from './holes.ts';
import { blindAgainst, type BlindWhy, type OpenBlind } from './open-blind.ts';

/** Those planned for a joint, alike ones together, with what stands against each. */
export interface PlannedBlind {
  blind: OpenBlind;
  sheetsIn: number;
  holes: number[];
  against: BlindWhy[];
}

/** The blind rivets of a layout by fastener, hole and stack. */
export function plannedBlinds(holes: readonly PlannedHole[]): PlannedBlind[] {
  const groups = new Map<string, PlannedBlind>();
  for (const { number, blind, gripIn } of holes) {
    if (blind === null) continue;
    const key = JSON.stringify([blind, Math.round(gripIn * 1e6)]);
    const group = groups.get(key) ?? {
      blind,
      sheetsIn: gripIn,
      holes: [],
      against: blindAgainst(blind, gripIn)
    };
    group.holes.push(number);
    groups.set(key, group);
  }
  return [...groups.values()];
}
