import { describe, expect, it } from 'vitest';
import { chargeFor, waitFor } from './limits';

describe('requests of one address', () => {
  it('to sign in are as many as a shop needs, and no more; others are not held back by it', async () => {
    const waits: number[] = [];
    for (let at = 0; at < 70; at++) waits.push(await waitFor('POST', '/who', () => '10.0.0.7'));
    expect(waits.filter((wait) => wait === 0)).toHaveLength(60);
    expect(waits.at(-1)).toBeGreaterThan(0);
    expect(waits.at(-1)).toBeLessThanOrEqual(60);
    expect(await waitFor('POST', '/who', () => '10.0.0.8')).toBe(0);
    expect(await waitFor('GET', '/who', () => '10.0.0.7')).toBe(0);
  });

  it('for calculations are a hundred a second over a minute', async () => {
    let refused = 0;
    for (let at = 0; at < 6001; at++)
      if ((await waitFor('POST', '/api/calc/removal', () => '10.0.0.9')) > 0) refused += 1;
    expect(refused).toBe(1);
  });

  it('count by what they cost: by how much is sent, and by how long it took', async () => {
    const left = async (address: string): Promise<number> => {
      for (let more = 0; more < 6001; more++)
        if ((await waitFor('POST', '/api/calc/removal', () => address)) > 0) return more;
      return NaN;
    };
    // 256 kB count as 129
    for (let at = 0; at < 40; at++)
      expect(await waitFor('POST', '/api/calc/removal', () => '10.0.1.1', 256_000)).toBe(0);
    expect(await left('10.0.1.1')).toBe(6000 - 40 * 129);
    // half a minute of reckoning is all of it; a quick one costs no more than itself
    await chargeFor('10.0.1.2', 29_000);
    await chargeFor('10.0.1.2', 4.9);
    expect(await left('10.0.1.2')).toBe(200);
  });
});
