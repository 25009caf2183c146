import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { calc } from '../../src/core/calc.ts';
import { refusal } from './words.ts';

interface Case {
  input: unknown;
  expect: { ok: true; result: unknown } | { ok: false; error: { code: string } };
}

const INSTANT = /^\d{4}-\d{2}-\d{2}T/;

/** Instants agree in any ISO form, numbers to 1e-9 of their size, everything else exactly. */
function agree(actual: unknown, wanted: unknown, path: string): void {
  if (typeof wanted === 'number') {
    expect(typeof actual, path).toBe('number');
    expect(Math.abs((actual as number) - wanted), path).toBeLessThanOrEqual(
      1e-9 * Math.max(1, Math.abs(wanted))
    );
  } else if (typeof wanted === 'object' && wanted !== null) {
    expect(Object.keys(actual as object).sort(), path).toEqual(Object.keys(wanted).sort());
    for (const [key, value] of Object.entries(wanted))
      agree((actual as Record<string, unknown>)[key], value, `${path}.${key}`);
  } else if (typeof wanted === 'string' && INSTANT.test(wanted)) {
    expect(Date.parse(String(actual)), path).toBe(Date.parse(wanted));
  } else {
    expect(actual, path).toBe(wanted);
  }
}

/** Holds one calculation against its worked answers in tests/cases. */
export function holdsWorkedCases(op: string): void {
  const file = new URL(`../cases/${op}.json`, import.meta.url);
  const cases = JSON.parse(readFileSync(file, 'utf8')) as Case[];
  it.each(cases.map((worked, index) => ({ worked, index })))(
    `${op}: worked case $index`,
    ({ worked }) => {
      const answer = calc(op, worked.input);
      if (worked.expect.ok) {
        if (!answer.ok) throw new Error(`refused: ${refusal(answer.error)}`);
        agree(answer.result, worked.expect.result, op);
        expect(answer.work.length).toBeGreaterThan(0);
      } else {
        expect(answer).toMatchObject({ ok: false, error: { code: worked.expect.error.code } });
        expect(answer.ok ? '' : refusal(answer.error)).not.toBe('');
      }
    }
  );
}

/** The result of a calculation that must succeed. */
export function resultOf<T>(answer: { ok: true; result: T } | { ok: false; error: unknown }): T {
  if (!answer.ok) throw new Error(`refused: ${JSON.stringify(answer.error)}`);
  return answer.result;
}
