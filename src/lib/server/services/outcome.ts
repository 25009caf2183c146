/** Why a service says no. */
export type Reason = 'not-found' | 'stale' | 'not-possible' | 'conflict' | 'unreadable';

/** What a service answers: the value, or a refusal that a route turns into a status. */
export type Outcome<T> = { ok: true; value: T } | { ok: false; reason: Reason; message: string };

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });

export const refused = (reason: Reason, message: string): Outcome<never> => ({
  ok: false,
  reason,
  message
});

/** Thrown to take back an act that was refused part way. */
export class Refused extends Error {
  constructor(
    readonly reason: Reason,
    message: string
  ) {
    super(message);
  }
  get outcome(): Outcome<never> {
    return refused(this.reason, this.message);
  }
}
