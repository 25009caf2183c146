import type { Answer, Refusal, WorkLine } from '../../src/core/answer.ts';
import type { Notation } from '../../src/core/notation.ts';
import type { Plan, PlanWarning } from '../../src/core/plan/plan-shape.ts';
import { warningInWords, type WrittenWarning } from '../../src/lib/words/warnings.ts';
import {
  answerInWords,
  notationInWords,
  workInWords,
  type WrittenAnswer
} from '../../src/lib/words/arithmetic.ts';
import { refusalInWords } from '../../src/lib/words/refusals.ts';
import { inInches } from '../../src/lib/words/writing.ts';

/** A plan's warnings as one reads them in decimal inches. */
export const written = ({
  warnings
}: Pick<Plan, 'warnings'>): (Omit<PlanWarning, 'said'> & WrittenWarning)[] =>
  warnings.map(({ said, ...warning }) => ({
    ...warning,
    ...warningInWords({ said, ...warning }, inInches)
  }));

/** Titles of what stops a plan. */
export const stops = (plan: Pick<Plan, 'warnings'>): string[] =>
  written(plan)
    .filter(({ level }) => level === 'stop')
    .map(({ title }) => title);

/** Why there is no result, as a program is told. */
export const refusal = ({ said }: Pick<Refusal, 'said'>): string => refusalInWords(said, inInches);

/** An answer as a program is given it. */
export const told = (answer: Answer<unknown>): WrittenAnswer => answerInWords(answer);

/** The formula of a line of arithmetic, in inches. */
export const formula = (line: WorkLine | undefined): string =>
  line === undefined ? '' : workInWords(line, 'decimal').formula;

/** Arithmetic as one reads it, in inches. */
export const notation = (of: Notation | string | undefined): string =>
  of === undefined ? '' : notationInWords(of, 'decimal');

/** Lines of arithmetic as one would write them on paper, in inches, numbers to six places. */
export const arithmetic = (work: readonly WorkLine[]): string[] =>
  work.map((line) => {
    const { label, formula: of, value, unit } = workInWords(line, 'decimal');
    const number = typeof value === 'number' ? String(Number(value.toFixed(6))) : value;
    return `${label}: ${of} = ${number} ${unit}`.trimEnd();
  });

export {
  guideInWords,
  checkInWords,
  recheckInWords,
  settingInWords
} from '../../src/lib/words/cages.ts';
export { settingChangesInWords, stepChangesInWords } from '../../src/lib/words/changes.ts';
export { findingNote, reportInWords } from '../../src/lib/words/heads.ts';
export { metalStepInWords, type WrittenMetalStep } from '../../src/lib/words/metal-steps.ts';
export { stepInWords } from '../../src/lib/words/ready-steps.ts';
export { fileRefusalInWords } from '../../src/lib/words/refusals.ts';
export { lengthVerdictInWords } from '../../src/lib/words/stacks.ts';
export { substitutionInWords } from '../../src/lib/words/substitutions.ts';
export { wayInWords } from '../../src/lib/words/ways.ts';
export { inInches };
