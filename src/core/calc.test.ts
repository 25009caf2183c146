import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { calc, calcLine, OPERATIONS } from './calc';
import { told, refusal } from '../../tests/support/words';

describe('the table of calculations', () => {
  it.each([
    ['', /not JSON/],
    ['not json', /not JSON/],
    ['[]', /./],
    ['{"op":"no-such","input":{}}', /no calculation "no-such"/],
    ['{"op":"toString","input":{}}', /no calculation "toString"/],
    ['{"op":"part-number"}', /./]
  ])('answers %s with invalid-input', (line, message) => {
    const answer = calcLine(line);
    expect(answer).toMatchObject({ ok: false, error: { code: 'invalid-input' } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
  });

  it('points into lists with dots', () => {
    expect(calc('rivet-diameter', { sheetsIn: [0.04, 'x'] })).toMatchObject({
      ok: false,
      error: { path: 'sheetsIn.1' }
    });
    expect(told(calc('rivet-diameter', {}))).toMatchObject({
      ok: false,
      error: { path: 'sheetsIn', message: 'sheetsIn is missing' }
    });
  });

  it('takes texts wherever inches are expected', () => {
    expect(calc('rivet-diameter', { sheetsIn: ['1.016mm', '32 thou'] })).toMatchObject({
      ok: true,
      result: { dash: 4 }
    });
  });
});

/** `@example op {input} -> {part of the result}` in a docstring must be true. */
function examples(): { op: string; input: string; wanted: string }[] {
  const files = readdirSync('src/core', { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => join('src/core', name));
  return files.flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/@example (\S+) (\{.*?\}) -> (\{.*\})/g)].map(
      ([, op = '', input = '', wanted = '']) => ({ op, input, wanted })
    )
  );
}

describe('the examples in the docstrings', () => {
  it('cover every calculation', () => {
    expect(new Set(examples().map(({ op }) => op))).toEqual(new Set(Object.keys(OPERATIONS)));
  });

  it.each(examples())('$op $input', ({ op, input, wanted }) => {
    const answer = calc(op, JSON.parse(input));
    if (!answer.ok) throw new Error(refusal(answer.error));
    for (const [key, value] of Object.entries(JSON.parse(wanted) as Record<string, unknown>)) {
      const actual = (answer.result as Record<string, unknown>)[key];
      if (typeof value === 'number') expect(actual, key).toBeCloseTo(value, 6);
      else expect(actual, key).toEqual(value);
    }
  });
});
