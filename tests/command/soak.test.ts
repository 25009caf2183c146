import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import { PATIENCE_MS, run } from './run.ts';

const data = mkdtempSync(join(tmpdir(), 'zanjador-'));
// away from the ports of a shop on this machine
const env = { ZANJADOR_DATA: data, ZANJADOR_DB_PORT: '5321' };
afterAll(() => rmSync(data, { recursive: true, force: true }));

it(
  './zanjador soak loses nothing that was acknowledged while application and database are killed',
  async () => {
    const { code, out } = await run(['soak', '--rounds', '4', '--seed', '3'], '', env);
    expect(out).toMatch(/acknowledged [1-9]\d*, acknowledged and missing 0, stored twice 0/);
    for (const killed of ['application killed', 'database killed', 'both killed'])
      expect(out).toContain(killed);
    expect(code).toBe(0);
  },
  2 * PATIENCE_MS
);
