import type { DrivingAccess } from './access.ts';
import type { DrivingTools } from '../drive/driving-tools.ts';
import { drivingWays, touchedHoles } from './driving-ways.ts';
import type { Outline } from './reach.ts';
import { rivetRuns, type RivetRun } from './rivet-runs.ts';
import type { Release } from '../release/release.ts';

/** Some holes of a run, driven in a way of their own; its key stays that of the run, and so its setting does. */
const partOf = (
  run: RivetRun,
  release: Pick<Release, 'facts'>,
  belongs: (hole: number) => boolean
): RivetRun | null => {
  const holes = run.holes.filter(({ number }) => belongs(number));
  const [own] = rivetRuns({ facts: release.facts, holes });
  return own ? { ...own, key: run.key } : null;
};

/**
 * A run as it can be driven: whole where one way fits all of it; else, where set or bar stand clear at some of its holes, those
 * as one run and the others as another, each with its own way.
 *
 * @returns the run itself, or its two parts, those that are reached first
 * @throws never
 * @source drive
 */
export function reachedRuns(
  run: RivetRun,
  release: Pick<Release, 'facts'>,
  outline: Outline,
  access: DrivingAccess,
  tools: DrivingTools
): RivetRun[] {
  if (drivingWays(run, outline, access, tools).chosen !== null) return [run];
  const { set, bar } = touchedHoles(run, outline, access, tools);
  const blocked = new Set([...set, ...bar]);
  if (blocked.size === 0 || blocked.size === run.holes.length) return [run];
  const clear = partOf(run, release, (hole) => !blocked.has(hole));
  const rest = partOf(run, release, (hole) => blocked.has(hole));
  return clear && rest && drivingWays(clear, outline, access, tools).chosen !== null
    ? [clear, rest]
    : [run];
}

/**
 * Whether a run can be driven as far as the next rivet asks: of one that is driven in two parts only the part with that rivet counts.
 *
 * @param parts the runs as they can be driven (`reachedRuns`)
 * @param here the rivet that is driven next; null where there is none
 * @throws never
 */
export const hasWay = (
  run: RivetRun,
  parts: readonly RivetRun[],
  here: number | null,
  { outline, access, tools }: { outline: Outline; access: DrivingAccess; tools: DrivingTools }
): boolean =>
  parts.every(
    (part) =>
      part.key !== run.key ||
      (part !== run && part.holes.every(({ number }) => number !== here)) ||
      drivingWays(part, outline, access, tools).chosen !== null
  );
