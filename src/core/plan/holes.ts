import { num, workLine, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import type { Drill } from '../catalog/drills.ts';
import type { OpenBlind } from './open-blind.ts';
import type { Dash } from '../schema/fields.ts';
import type { RulerScale } from '../units/ruler.ts';
import { distanceIn } from '../layout/hole-room.ts';
import { alongOf, pointAt, type LinePath } from '../layout/lines.ts';

/** One hole of a layout. x runs from the datum (left) edge, y down from the upper edge; inches. */
export interface PlannedHole {
  /** 1 is the first hole of the first line; numbers run along each line in turn, a removed hole leaves its number free */
  number: number;
  /** 1-based place of its line */
  row: number;
  /** its place in the line as laid, 0-based, and of how many */
  index: number;
  of: number;
  xIn: number;
  yIn: number;
  /** running distance along its line from the line's beginning */
  alongIn: number;
  /** what is marked: from the datum along the line, or from the ring's centre line to the right */
  markIn: number;
  /** rings only: from the centre line down */
  crossMarkIn: number | null;
  /** how far the marked point is from the exact one; along a line with its sign */
  residualIn: number;
  /** where the mark lies */
  markXIn: number;
  markYIn: number;
  dash: Dash;
  /** into the plan's stacks */
  stack: number;
  gripIn: number;
  state: 'rivet' | 'held-open';
  /** why it is held open */
  reason: string;
  /** its own drill where it is held open; null where none was named, so that it stays at the pilot */
  openDrill: Drill | null;
  /** the blind rivet planned for it; null where none is */
  blind: OpenBlind | null;
  /** dimpled or countersunk with the rivet's tools: a rivet's hole, or a held-open one that was told so */
  flushed: boolean;
  /** an existing or pinned hole, by its id in the definition */
  fixed: string | null;
  nudgedIn: number;
}

/** A rivet line with its holes; lengths in inches. */
export interface LaidLine {
  key: string;
  name: string;
  path: LinePath;
  /** where running marks begin, along the line */
  datumIn: number;
  /** its first and last hole as laid, along it */
  fromIn: number;
  toIn: number;
  /** hole numbers in their order along it; a corner hole is in two lines */
  holes: number[];
  /** holes as laid, removed ones counted: what an edit's `of` must be */
  laidCount: number;
  dash: Dash;
  /** solved past fixed holes or keep-outs, with how */
  work: WorkLine[] | null;
  /** how far the last mark would be off had the snapped pitch been stepped off; null where gaps are not equal */
  steppedOffErrorIn: number | null;
  /** the even pitch; null where gaps are not equal */
  pitchIn: number | null;
}

/** The arithmetic of one mark: from the datum, never from the mark before. */
export function markWork(hole: PlannedHole, line: LaidLine, scale: RulerScale): WorkLine[] {
  const snapped = (label: string, valueIn: number) =>
    workLine(
      label,
      hole.fixed !== null
        ? 'an existing or pinned hole: as it is'
        : scale === 'exact'
          ? 'no scale: as calculated'
          : `nearest division of the ${scale} scale`,
      valueIn,
      'in'
    );
  const off = workLine('off by', 'marked − exact', hole.residualIn, 'in');
  if (line.path.path === 'circle') {
    const { xIn, yIn } = line.path;
    const degrees = ((hole.alongIn / line.path.radiusIn) * 180) / Math.PI;
    // an existing hole may lie off its ring
    const radiusIn = distanceIn(hole.xIn - xIn, hole.yIn - yIn);
    return [
      workLine(
        `hole ${hole.number} round the ring`,
        `${hole.index} of ${hole.of} spaces from the top`,
        degrees,
        '°'
      ),
      workLine(
        'right of the center',
        by`R·sin = ${len(radiusIn)} × sin ${num(degrees)}°`,
        hole.xIn - xIn,
        'in'
      ),
      workLine(
        'below the center',
        by`−R·cos = −${len(radiusIn)} × cos ${num(degrees)}°`,
        hole.yIn - yIn,
        'in'
      ),
      snapped('mark, right', hole.markIn),
      snapped('mark, below', hole.crossMarkIn ?? 0),
      off
    ];
  }
  const exactIn = hole.alongIn - line.datumIn;
  const moved = hole.nudgedIn === 0 ? '' : by` + moved ${len(hole.nudgedIn)}`;
  const first =
    line.pitchIn === null || hole.fixed !== null
      ? workLine(
          `hole ${hole.number} along the line`,
          line.work ? 'as solved' : 'as given',
          hole.alongIn,
          'in'
        )
      : workLine(
          `hole ${hole.number} along the line`,
          by`first hole + spaces × pitch${moved} = ${len(hole.alongIn - hole.nudgedIn - hole.index * line.pitchIn)} + ${hole.index} × ${len(line.pitchIn)}${moved}`,
          hole.alongIn,
          'in'
        );
  return [
    first,
    workLine('from the datum', by`${len(hole.alongIn)} − ${len(line.datumIn)}`, exactIn, 'in'),
    snapped('mark', hole.markIn),
    off
  ];
}

/** The point of a line at a running distance, moved off the line: to its right, or outwards from a ring. */
export function pointOff(
  path: LinePath,
  alongIn: number,
  offIn: number
): { xIn: number; yIn: number } {
  if (path.path === 'circle')
    return pointAt(
      { ...path, radiusIn: path.radiusIn + offIn },
      (alongIn / path.radiusIn) * (path.radiusIn + offIn)
    );
  const at = pointAt(path, alongIn);
  return { xIn: at.xIn - offIn * path.dirY, yIn: at.yIn + offIn * path.dirX };
}

/** A point's running distance along a line from its datum, in. */
export const fromDatumIn = (
  { path, datumIn }: Pick<LaidLine, 'path' | 'datumIn'>,
  xIn: number,
  yIn: number
): number => alongOf(path, xIn, yIn) - datumIn;

/** What is marked of a hole on one of its lines: a corner hole of another line is measured along this one; in. */
export const runningMarkIn = (
  line: Pick<LaidLine, 'path' | 'datumIn'>,
  hole: Pick<PlannedHole, 'markIn' | 'markXIn' | 'markYIn'>
): number =>
  line.path.path === 'circle' ? hole.markIn : fromDatumIn(line, hole.markXIn, hole.markYIn);

/** How many of an even line's spaces lie between two of its holes: a hole that was taken out leaves its two spaces. */
export const spacesBetween = (
  line: Pick<LaidLine, 'path' | 'datumIn'> & { pitchIn: number },
  first: PlannedHole,
  last: PlannedHole
): number =>
  Math.round(Math.abs(runningMarkIn(line, last) - runningMarkIn(line, first)) / line.pitchIn);
