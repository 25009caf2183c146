import type { DriveEvent } from './drive-events.ts';

/** Somebody named at a rivet by another. */
export interface NamedTap {
  /** its id */
  tap: string;
  hole: number;
  /** who named them */
  by: string;
  /** who is named, by id */
  person: string;
}

/**
 * A log of driving with every name that its own person confirmed since no longer told as only named, in whatever order the two
 * came.
 */
export function asConfirmed(events: readonly DriveEvent[]): DriveEvent[] {
  const confirmed = new Set(
    events.flatMap((event) =>
      event.kind === 'confirmed' ? event.taps.map((tap) => `${event.person ?? ''} ${tap}`) : []
    )
  );
  return events.map((event): DriveEvent => {
    const { unconfirmed, ...frozen } = event.frozen;
    if (!unconfirmed || confirmed.size === 0) return event;
    const left = unconfirmed.filter((person) => !confirmed.has(`${person} ${event.id}`));
    return { ...event, frozen: { ...frozen, ...(left.length > 0 ? { unconfirmed: left } : {}) } };
  });
}

/** Taps at which somebody is named by another and has not confirmed it. */
export const namedStill = (events: readonly DriveEvent[]): NamedTap[] =>
  asConfirmed(events).flatMap((event) =>
    event.kind === 'driven'
      ? (event.frozen.unconfirmed ?? []).map((person) => ({
          tap: event.id,
          hole: event.hole,
          by: event.by,
          person
        }))
      : []
  );
