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

/** What is sent and what is reckoned count as so many calculations: a page of input as one more, and so does this long. */
const BYTES_A_POINT = 2000;
const MS_A_POINT = 5;

/**
 * Counts a request against its limit, by what it costs: a large one as many. Kept in this process: guessing a password is held back in the database as well.
 *
 * @param addressOf asked only where there is a limit: behind a proxy that does not tell it, asking fails
 * @returns seconds to wait; 0: come in
 */
export async function waitFor(
  method: string,
  path: string,
  addressOf: () => string,
  bytes = 0
): Promise<number> {
  const limiter = limiterOf(method, path);
  if (limiter === null) return 0;
  try {
    await limiter.consume(
      addressOf(),
      limiter === CALCULATIONS ? 1 + Math.floor(bytes / BYTES_A_POINT) : 1
    );
    return 0;
  } catch (over) {
    if (over instanceof RateLimiterRes) return Math.max(1, Math.ceil(over.msBeforeNext / 1000));
    throw over;
  }
}

/** Counts what a calculation took against whoever asked for it. */
export async function chargeFor(address: string, ms: number): Promise<void> {
  const points = Math.floor(ms / MS_A_POINT);
  if (points > 0) await CALCULATIONS.penalty(address, points);
}
