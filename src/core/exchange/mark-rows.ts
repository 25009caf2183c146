import { drillIn } from '../catalog/drills.ts';
import { PILOT_DRILL, rivetSize } from '../catalog/rivets.ts';
import type { ExistingHole } from '../plan/existing-holes.ts';
import type { JointLayout, PlannedStack } from '../plan/plan-shape.ts';
import type { InMetal } from '../releases/in-metal.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { endHolesOf } from './end-holes.ts';
import { byId } from '../joint/item-id.ts';
import type { Joint } from '../kinds/joint.ts';
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
  /** which of the fixed holes are there already, and which are only kept where they are */
  fixed: Joint['fixed'];
  /** the existing ones as they were measured */
  existing?: readonly ExistingHole[];
  /** what stops the joint at a hole, in words; empty where nothing does */
  warningOf: (hole: number) => string;
}

type Cells = Partial<Record<Column, string | number | null>>;

/** Cells as they go into a file of a unit. */
const inUnit = (cells: Cells, unit: DrawingUnit): MarkRow =>
  Object.fromEntries(
    COLUMNS.map((column) => {
      const value = cells[column] ?? '';
      const written =
        IS_LENGTH[column] && typeof value === 'number'
          ? Number((unit === 'mm' ? value * MM_PER_IN : value).toFixed(6))
          : value;
      return [named(column, unit), written];
    })
  );

const END_STATE = { RELIEFS: 'relief', STOP_DRILL: 'stop drill' } as const;

/**
 * Every hole with its running mark, its exact place, its drills and its rivet; then the holes that get none, by their names:
 * reliefs and stop-drills.
 */
export const markRows = (wish: MarksWish): MarkRow[] => [
  ...rivetRows(wish),
  ...endHolesOf(wish.layout, null).map(({ name, layer, xIn, yIn, diameterIn, drill }) =>
    inUnit(
      {
        hole: name,
        state: END_STATE[layer],
        x: xIn,
        y: yIn,
        drill: drill ?? '',
        hole_diameter: diameterIn
      },
      wish.unit
    )
  )
];

const rivetRows = ({
  layout,
  stacks,
  profile,
  unit,
  reworked = [],
  fixed,
  warningOf,
  existing: judged = []
}: MarksWish): MarkRow[] => {
  const existing = new Map(judged.map((one) => [one.hole, one]));
  return layout.holes.map((hole) => {
    const kept = hole.fixed === null ? null : (byId(fixed, hole.fixed)?.kind ?? 'existing');
    const now = reworked.find((one) => one.hole === hole.number);
    const found = existing.get(hole.number);
    const stack = stacks[hole.stack];
    const line = layout.lines[hole.row - 1];
    const open = hole.state === 'held-open';
    const drill = open
      ? (hole.openDrill?.name ?? PILOT_DRILL)
      : rivetSize(hole.dash).drill[profile.drill];
    const larger = open || now ? null : layout.growth;
    const row: Cells = {
      hole: hole.number,
      line: line?.name ?? '',
      state: now ? 'reworked' : open ? 'held open' : (kept ?? 'rivet'),
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
      // nothing is drilled there: its hole is in the metal, unless it measured too small
      drill: now || (kept === 'existing' && found?.standing !== 'too-small') ? '' : drill,
      hole_diameter: now
        ? now.holeIn
        : found && found.holeIn !== null && found.standing !== 'too-small'
          ? found.holeIn
          : open && hole.openDrill
            ? hole.openDrill.diameterIn
            : drillIn(drill),
      larger_part: larger?.part ?? '',
      larger_drill: larger?.drill ?? '',
      larger_hole_diameter: larger?.diameterIn ?? null,
      grip: hole.gripIn,
      warning: warningOf(hole.number)
    };
    return inUnit(row, unit);
  });
};
