import { HeadVerdict } from '../inspect/findings.ts';
import { verdictNow } from '../inspect/hole-events.ts';
import { isLogged } from '../driving/drive-events.ts';
import { emptyHoles } from '../reworking/rework-state.ts';
import type { ReleaseNow } from './release-now.ts';

/** What a hole of a release comes to: the result of the rivet that is in it, or why it has none. */
export type HoleMark = HeadVerdict | 'out' | 'left' | 'to-do';

export const HOLE_MARKS: readonly HoleMark[] = [...HeadVerdict.options, 'out', 'left', 'to-do'];

/** A hole with one of these has been inspected as it is now, all the way. */
const INSPECTED: ReadonlySet<HoleMark> = new Set<HoleMark>([
  'accept',
  'drive-more',
  'replace',
  'refer',
  'left'
]);

/** How many holes come to each mark. */
export type MarkCounts = Readonly<Record<HoleMark, number>>;

export const markCounts = (counts: Partial<Record<HoleMark, number>>): MarkCounts =>
  Object.fromEntries(HOLE_MARKS.map((mark) => [mark, counts[mark] ?? 0])) as MarkCounts;

/** Of how many holes the inspection is complete. */
export const inspectedOf = (counts: MarkCounts): number =>
  HOLE_MARKS.reduce((sum, mark) => sum + (INSPECTED.has(mark) ? counts[mark] : 0), 0);

/** What the marks and counts of a release follow from. */
export type CountedRelease = Pick<ReleaseNow, 'states' | 'left' | 'rework'> & {
  release: Pick<ReleaseNow['release'], 'holes'>;
};

/** What every hole of a release comes to; those that a blind rivet went into are none of its holes any more. */
export function holeMarks({
  release,
  states,
  left,
  rework
}: CountedRelease): ReadonlyMap<number, HoleMark> {
  const empty = emptyHoles(rework);
  return new Map(
    release.holes.map(({ number }): [number, HoleMark] => {
      const state = states.get(number);
      const verdict = state ? verdictNow(state) : null;
      if (empty.has(number)) return [number, 'out'];
      // nothing is settled of a head that nobody has looked at
      return [number, left.has(number) && verdict !== null ? 'left' : (verdict ?? 'to-do')];
    })
  );
}

/** Every count of a release; pages and files show these and count nothing themselves. */
export interface ReleaseCount {
  holes: number;
  /** anybody logs driving: where nobody does, nothing is known to be not driven */
  logged: boolean;
  /** each hole is one of these four: logged as driven; inspected before its driving was logged; empty; none of them */
  driven: number;
  unlogged: number[];
  empty: number[];
  notDriven: number[];
  marks: MarkCounts;
  inspected: number;
  /** heads to inspect now, by the shop’s rule */
  due: number[];
  /** bad as they stand, and nobody decided to leave them */
  bad: number[];
  /** nothing is left to be driven, inspected or mended */
  complete: boolean;
}

/**
 * What a release comes to in figures.
 *
 * @throws never
 * @source record: what was not looked at is not good, what was not logged is not known
 */
export function countRelease(
  now: CountedRelease & Pick<ReleaseNow, 'drive' | 'due'>
): ReleaseCount {
  const { release, drive, states, due } = now;
  const marks = holeMarks(now);
  const numbers = release.holes.map(({ number }) => number);
  const logged = isLogged(drive);
  const isEmpty = (hole: number) => marks.get(hole) === 'out';
  const there = numbers.filter((hole) => !isEmpty(hole));
  const open = there.filter((hole) => drive.holes.get(hole)?.driven !== true);
  const wasSeen = (hole: number) => (states.get(hole)?.last ?? null) !== null;
  const counts: Partial<Record<HoleMark, number>> = {};
  for (const mark of marks.values()) counts[mark] = (counts[mark] ?? 0) + 1;
  const count = {
    holes: numbers.length,
    logged,
    driven: there.length - open.length,
    // where nobody logs driving every rivet counts as driven
    unlogged: open.filter((hole) => !logged || wasSeen(hole)),
    empty: numbers.filter(isEmpty),
    notDriven: open.filter((hole) => logged && !wasSeen(hole)),
    marks: markCounts(counts),
    inspected: inspectedOf(markCounts(counts)),
    due: due.due.filter((hole) => !isEmpty(hole)),
    bad: due.open.filter((hole) => !isEmpty(hole))
  };
  const undone = [count.empty, count.notDriven, count.due, count.bad];
  return { ...count, complete: undone.every(({ length }) => length === 0) };
}
