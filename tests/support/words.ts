import type { Plan, PlanWarning } from '../../src/core/plan/plan-shape.ts';
import { warningInWords, type WrittenWarning } from '../../src/lib/words/warnings.ts';
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
