import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';

/** How often one address may come, in each minute; beyond that it is asked to wait. */
const SIGN_INS = new RateLimiterMemory({ points: 60, duration: 60 });
const CALCULATIONS = new RateLimiterMemory({ points: 6000, duration: 60 });

const limiterOf = (method: string, path: string): RateLimiterMemory | null =>
  method !== 'POST'
    ? null
    : path.startsWith('/who')
      ? SIGN_INS
      : path.startsWith('/api/calc/')
        ? CALCULATIONS
        : null;

/**
 * Counts a request against its limit. Kept in this process: guessing a password is held back in the database as well.
 *
 * @param addressOf asked only where there is a limit: behind a proxy that does not tell it, asking fails
 * @returns seconds to wait; 0: come in
 */
export async function waitFor(
  method: string,
  path: string,
  addressOf: () => string
): Promise<number> {
  const limiter = limiterOf(method, path);
  if (limiter === null) return 0;
  try {
    await limiter.consume(addressOf());
    return 0;
  } catch (over) {
    if (over instanceof RateLimiterRes) return Math.max(1, Math.ceil(over.msBeforeNext / 1000));
    throw over;
  }
}
