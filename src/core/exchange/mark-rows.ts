import { drillIn } from '../catalog/drills.ts';
import { PILOT_DRILL, rivetSize } from '../catalog/rivets.ts';
import type { JointLayout, PlannedStack } from '../plan/plan-shape.ts';
import type { InMetal } from '../releases/in-metal.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { MM_PER_IN } from '../units/factors.ts';
import type { DrawingUnit } from './dxf-r12.ts';

/** The table's columns; those that are lengths end in the unit. */
const IS_LENGTH = {
  hole: false,
  line: false,
  state: false,
  reason: false,
  mark: true,
  cross_mark: true,
  exact_along: true,
  off_by: true,
  x: true,
  y: true,
  rivet: false,
  drill: false,
  hole_diameter: true,
  larger_part: false,
  larger_drill: false,
  larger_hole_diameter: true,
  grip: true,
  warning: false
} as const;
type Column = keyof typeof IS_LENGTH;
const COLUMNS = Object.keys(IS_LENGTH) as Column[];

const named = (column: Column, unit: DrawingUnit): string =>
  IS_LENGTH[column] ? `${column}_${unit}` : column;

/** The table's columns in a unit. */
export const markColumns = (unit: DrawingUnit): string[] =>
  COLUMNS.map((column) => named(column, unit));

/** One line of the table of marks, as it goes into a file. */
export type MarkRow = Record<string, string | number>;

/** What the table is made of. */
export interface MarksWish {
  layout: JointLayout;
  stacks: readonly PlannedStack[];
  profile: Pick<RuleProfile, 'drill'>;
  unit: DrawingUnit;
  /** what rework left in the metal in another way than planned */
  reworked?: readonly InMetal[];
  /** what stops the joint at a hole, in words; empty where nothing does */
  warningOf: (hole: number) => string;
}

/** Every hole with its running mark, its exact place, its drills and its rivet. */
export const markRows = ({
  layout,
  stacks,
  profile,
  unit,
  reworked = [],
  warningOf
}: MarksWish): MarkRow[] =>
  layout.holes.map((hole) => {
    const now = reworked.find((one) => one.hole === hole.number);
    const stack = stacks[hole.stack];
    const line = layout.lines[hole.row - 1];
    const open = hole.state === 'held-open';
    const drill = open
      ? (hole.openDrill?.name ?? PILOT_DRILL)
      : rivetSize(hole.dash).drill[profile.drill];
    const larger = open || now ? null : layout.growth;
    const row: Record<Column, string | number | null> = {
      hole: hole.number,
      line: line?.name ?? '',
      state: now ? 'reworked' : open ? 'held open' : hole.fixed === null ? 'rivet' : 'fixed',
      reason: hole.reason,
      mark: hole.markIn,
      cross_mark: hole.crossMarkIn,
      exact_along: hole.alongIn - (line?.datumIn ?? 0),
      off_by: hole.residualIn,
      x: hole.xIn,
      y: hole.yIn,
      rivet: now
        ? (now.partNumber ?? now.fastener)
        : !open && stack?.length.ok
          ? stack.length.result.partNumber
          : '',
      // nothing is drilled there: its hole is in the metal
      drill: now ? '' : drill,
      hole_diameter: now
        ? now.holeIn
        : open && hole.openDrill
          ? hole.openDrill.diameterIn
          : drillIn(drill),
      larger_part: larger?.part ?? '',
      larger_drill: larger?.drill ?? '',
      larger_hole_diameter: larger?.diameterIn ?? null,
      grip: hole.gripIn,
      warning: warningOf(hole.number)
    };
    return Object.fromEntries(
      COLUMNS.map((column) => {
        const value = row[column] ?? '';
        const inUnit =
          IS_LENGTH[column] && typeof value === 'number'
            ? Number((unit === 'mm' ? value * MM_PER_IN : value).toFixed(6))
            : value;
        return [named(column, unit), inUnit];
      })
    );
  });
