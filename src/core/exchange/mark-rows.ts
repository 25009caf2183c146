import { PILOT_DRILL } from '../catalog/rivets.ts';
import type { JointLayout, PlannedStack } from '../plan/plan-shape.ts';

/** One line of the table of marks, as it goes into a file; lengths in inches. */
export type MarkRow = Record<(typeof MARK_COLUMNS)[number], string | number>;

export const MARK_COLUMNS = [
  'hole',
  'line',
  'state',
  'reason',
  'mark_in',
  'cross_mark_in',
  'exact_along_in',
  'off_by_in',
  'x_in',
  'y_in',
  'rivet',
  'drill',
  'grip_in',
  'warning'
] as const;

const places = (value: number): number => Number(value.toFixed(6));

/**
 * Every hole with its running mark, its exact place and its rivet.
 *
 * @param warningOf what stops the joint at a hole, in words; empty where nothing does
 */
export const markRows = (
  layout: JointLayout,
  stacks: readonly PlannedStack[],
  warningOf: (hole: number) => string
): MarkRow[] =>
  layout.holes.map((hole) => {
    const stack = stacks[hole.stack];
    const line = layout.lines[hole.row - 1];
    return {
      hole: hole.number,
      line: line?.name ?? '',
      state: hole.state === 'held-open' ? 'held open' : hole.fixed === null ? 'rivet' : 'fixed',
      reason: hole.reason,
      mark_in: places(hole.markIn),
      cross_mark_in: hole.crossMarkIn === null ? '' : places(hole.crossMarkIn),
      exact_along_in: places(hole.alongIn - (line?.datumIn ?? 0)),
      off_by_in: places(hole.residualIn),
      x_in: places(hole.xIn),
      y_in: places(hole.yIn),
      rivet:
        hole.state === 'held-open' ? '' : stack?.length.ok ? stack.length.result.partNumber : '',
      drill:
        hole.state === 'held-open'
          ? (hole.openDrill?.name ?? PILOT_DRILL)
          : (stack?.hole.drill ?? ''),
      grip_in: places(hole.gripIn),
      warning: warningOf(hole.number)
    };
  });
