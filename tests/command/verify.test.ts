import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import type { JointRecord } from '../../src/core/signing/record.ts';
import { sealOf } from '../../src/lib/server/record/seal.ts';
import { PATIENCE_MS, run } from './run.ts';

const folder = mkdtempSync(join(tmpdir(), 'zanjador-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const RECORD = {
  joint: { title: 'Float lap' },
  heads: [{ move: { hole: 1 } }, { move: { hole: 2 } }],
  signature: { by: 'Tomas Ekbrand' }
};
const sealed = (record: object) =>
  JSON.stringify({ record, seal: sealOf(record as unknown as JointRecord) }, null, 2);
const { digest } = sealOf(RECORD as unknown as JointRecord);

/** What the command says of a file. */
async function verified(text: string, ...typed: string[]): Promise<{ code: number; said: string }> {
  const file = join(folder, 'record.json');
  writeFileSync(file, text);
  const { code, out, err } = await run(['verify', file, ...typed], '');
  return { code: code ?? NaN, said: `${out}${err}` };
}

it(
  './zanjador verify holds a record against its seal, and is not fooled',
  async () => {
    const good = sealed(RECORD);
    expect(await verified(good, digest.toUpperCase())).toMatchObject({
      code: 0,
      said: expect.stringMatching(/^✓ .* matches its seal/)
    });
    const cases: [string, string, RegExp, ...string[]][] = [
      ['changed', good.replace('"hole": 2', '"hole": 3'), /was changed after sealing, at heads\.1/],
      [
        'an empty list before the real one',
        good.replace('"heads"', '"heads": [],\n "heads"'),
        /a second member named "heads"/
      ],
      [
        '__proto__',
        good.replace('"joint"', '"__proto__": {"heads": []}, "joint"'),
        /named __proto__/
      ],
      ['a number larger than any', good.replace('"hole": 2', '"hole": 2e999'), /larger than any/],
      ['half a letter', good.replace('Float', '\\ud800'), /cannot be stored/],
      ['cut off', good.slice(0, -40), /not valid JSON/],
      [
        'a shortened digest',
        good,
        /is incomplete: it has 64 signs, 12 were typed/,
        digest.slice(0, 12)
      ],
      ['other signs', good, /other signs than 0 to 9 and a to f/, `${digest.slice(0, 63)}x`],
      ['another record', good, /it is another record/, '0'.repeat(64)]
    ];
    for (const [what, text, why, ...typed] of cases) {
      const { code, said } = await verified(text, ...typed);
      expect([code, said], what).toEqual([1, expect.stringMatching(why)]);
    }
    const draft = await verified(sealed({ ...RECORD, signature: null }));
    expect(draft).toMatchObject({
      code: 0,
      said: expect.stringMatching(/^△ not signed/)
    });
  },
  PATIENCE_MS
);
