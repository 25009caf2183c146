import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import { PATIENCE_MS, run } from './run.ts';

const data = mkdtempSync(join(tmpdir(), 'zanjador-'));
// away from the ports of a shop on this machine
const env = { ZANJADOR_DATA: data, ZANJADOR_DB_PORT: '5322' };
afterAll(() => rmSync(data, { recursive: true, force: true }));

it(
  './zanjador fuzz finds no door that breaks',
  async () => {
    // how long an answer takes is measured by hand, on a quiet machine
    const { code, out } = await run(['fuzz', '--count', '1500', '--slow', '25000'], '', {
      ...env,
      // what is fresh by hand is fixed here
      PROPERTY_SEED: '20261',
      PROPERTY_RUNS: '60'
    });
    expect(out).toMatch(/1500 tried at \d+ doors, seed 1: crashes 0, server errors 0, no answer 0/);
    expect(code).toBe(0);
  },
  2 * PATIENCE_MS
);
