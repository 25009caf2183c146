import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { ANY_INPUT } from '../../tests/support/any-input';
import { calc, OPERATIONS } from './calc';
import { told } from '../../tests/support/words';

/** What a program is answered. */
const Refusal = z.strictObject({
  code: z.enum(['invalid-input', 'not-possible']),
  message: z.string(),
  path: z.string()
});
const WorkLine = z.strictObject({
  label: z.string(),
  formula: z.string(),
  value: z.union([z.number(), z.string()]),
  unit: z.string()
});

const RUNS = 20_000;
/** These mostly refuse by their own rule; the others must mostly answer, or the test would test nothing. */
const LEAST_ANSWERED = 0.15;

it('has random input for every calculation', () => {
  expect(Object.keys(ANY_INPUT).sort()).toEqual(Object.keys(OPERATIONS).sort());
});

describe('every calculation answers in the form all answers have', () => {
  it.each(Object.keys(OPERATIONS))(`%s: ${RUNS} schema-valid inputs`, (op) => {
    const operation = OPERATIONS[op];
    const inputs = ANY_INPUT[op];
    if (!operation || !inputs) throw new Error(`no ${op}`);
    let answered = 0;
    fc.assert(
      fc.property(inputs, (input) => {
        const answer = told(calc(op, input));
        if (!answer.ok) {
          if (!Refusal.safeParse(answer.error).success || answer.error.message === '')
            throw new Error(`a refusal out of shape: ${JSON.stringify(answer)}`);
          return;
        }
        answered += 1;
        // The result schemas take finite numbers only.
        const shaped = operation.result.safeParse(answer.result);
        if (!shaped.success)
          throw new Error(`${JSON.stringify(answer.result)}: ${shaped.error.message}`);
        for (const line of answer.work)
          if (!WorkLine.safeParse(line).success) throw new Error(JSON.stringify(line));
      }),
      { numRuns: RUNS, seed: 20_260_504 }
    );
    expect(answered / RUNS).toBeGreaterThan(LEAST_ANSWERED);
  });
});

describe('hostile input', () => {
  const strange = fc.oneof(
    fc.anything(),
    fc.record({
      sheetsIn: fc.anything(),
      dash: fc.anything(),
      widthIn: fc.anything(),
      head: fc.anything()
    })
  );

  it.each(Object.keys(OPERATIONS))('%s refuses or answers, and never throws', (op) => {
    fc.assert(
      fc.property(strange, (input) => {
        const answer = told(calc(op, input));
        if (!answer.ok) expect(answer.error.message).not.toBe('');
      }),
      { numRuns: 500 }
    );
  });

  it.each([Number.NaN, Infinity, -Infinity, 1e308, -1, 0, '1e9', '∞', null, [], {}])(
    'a width of %s is refused with a reason',
    (widthIn) => {
      const answer = calc('rivets-required', {
        family: 'clad-2024',
        thicknessIn: 0.04,
        dash: 4,
        widthIn
      });
      expect(answer).toMatchObject({
        ok: false,
        error: { code: 'invalid-input', path: 'widthIn' }
      });
    }
  );
});
