import type { DriveEvent } from './drive-events.ts';
import type { LotTold } from './rivet-lots.ts';

/** What a log of driving says of lots. */
export const lotsTold = (events: readonly DriveEvent[]): LotTold[] =>
  events.flatMap((event) => (event.kind === 'loaded' ? [event] : []));

/** Part numbers of rivets that were driven as received before anybody told of which lot they are. */
export function partsWithoutLot(events: readonly DriveEvent[]): string[] {
  const firstTold = new Map<string, number>();
  for (const { part, at } of lotsTold(events))
    firstTold.set(part, Math.min(firstTold.get(part) ?? Infinity, Date.parse(at)));
  const parts = new Set<string>();
  for (const event of events) {
    // what an earlier release tells of its lot stands there
    if (event.kind !== 'driven' || event.batch !== null || event.carried) continue;
    const { partNumber } = event.frozen;
    if (partNumber !== null && Date.parse(event.at) < (firstTold.get(partNumber) ?? Infinity))
      parts.add(partNumber);
  }
  return [...parts].sort();
}
