import type {
  Release,
  ReleasedFacts,
  ReleasedHole,
  ReleasedRoom
} from '../../../core/release/release.ts';
import { OpenBlind } from '../../../core/plan/open-blind.ts';
import type { Dash } from '../../../core/schema/fields.ts';

/** A row of `holes`, as the database writes it. */
export interface HoleRow {
  number: number;
  row: number;
  x_in: number;
  y_in: number;
  mark_in: number;
  state: 'rivet' | 'held-open';
  reason: string;
  dash: Dash | null;
  stack: number;
  grip_in: number | null;
  room: ReleasedRoom | null;
}

const toHole = (hole: HoleRow, facts: ReleasedFacts): ReleasedHole => ({
  number: hole.number,
  row: hole.row,
  xIn: hole.x_in,
  yIn: hole.y_in,
  markIn: hole.mark_in,
  stack: hole.stack,
  dash: hole.dash ?? facts.dash,
  gripIn: hole.grip_in,
  room: hole.room
});

/** The holes of a release: those that get a rivet, and those that stay open with their reason. */
export const toReleasedHoles = (
  rows: readonly HoleRow[] | null,
  facts: ReleasedFacts
): Pick<Release, 'holes' | 'heldOpen'> => ({
  holes: (rows ?? []).filter(({ state }) => state === 'rivet').map((hole) => toHole(hole, facts)),
  heldOpen: (rows ?? [])
    .filter(({ state }) => state === 'held-open')
    .map((hole) => {
      const blind = facts.blinds.find((one) => one.hole === hole.number);
      return {
        ...toHole(hole, facts),
        reason: hole.reason,
        ...(blind ? { blind: OpenBlind.strip().parse(blind) } : {})
      };
    })
});
