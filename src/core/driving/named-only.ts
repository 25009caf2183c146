import type { DriveEvent } from './drive-events.ts';
import type { DriveMove } from './drive-move.ts';

/** A call and the tap that follows it are this near. */
const NEAR_CALL_MS = 5 * 60_000;

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

/** Who is named at a rivet by another, and was not heard there then: it counts as theirs, and stays to be confirmed. */
export function namedOnly(
  { hands, person, at }: Extract<DriveMove, { kind: 'driven' }>,
  calls: ReadonlyMap<string, readonly number[]>
): string[] {
  const atMs = Date.parse(at);
  const heard = (one: string) =>
    calls.get(one)?.some((callMs) => Math.abs(callMs - atMs) <= NEAR_CALL_MS) ?? false;
  return [...new Set(hands ? [hands.gun, hands.bar] : [])].filter(
    (one) => one !== person && !heard(one)
  );
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
