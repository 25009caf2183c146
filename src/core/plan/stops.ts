import type { Plan, PlanWarning } from './plan-shape.ts';

type Warned = Pick<Plan, 'warnings'>;

/** What stops a joint, in the order of the work: until it is mended, nothing that rests on the plan is offered. */
export const stopsOf = ({ warnings }: Warned): PlanWarning[] =>
  warnings.filter(({ level }) => level === 'stop');

/**
 * What keeps the holes from being drawn for the metal; null where nothing does. A layout that breaks a limit is drawn with
 * its warnings; a stack that cannot be riveted as it stands takes another rivet, and so other holes.
 */
export const drawingStop = (plan: Warned): PlanWarning | null =>
  stopsOf(plan).find(({ station }) => station !== 'layout') ?? null;
