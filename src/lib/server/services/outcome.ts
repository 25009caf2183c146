/** What a service answers: the value, or a refusal that a route turns into a status. */
export type Outcome<T> =
  | { ok: true; value: T }
  | { ok: false; reason: 'not-found' | 'stale' | 'not-possible' | 'conflict'; message: string };

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });

export const refused = (
  reason: Extract<Outcome<never>, { ok: false }>['reason'],
  message: string
): Outcome<never> => ({ ok: false, reason, message });
