import type { DrivingTools } from '../drive/driving-tools.ts';
import type { Release } from '../release/release.ts';
import type { DrivingAccess } from './access.ts';
import { drivingWays, type DrivingWay } from './driving-ways.ts';
import type { Outline } from './reach.ts';
import { rivetRuns } from './rivet-runs.ts';

/**
 * How each rivet could be driven if it were alone: the first way that fits its hole, by the same rules as a whole run.
 *
 * @returns by hole number; null where none of them fits
 * @throws never
 * @source drive
 */
export const holeWays = (
  { facts, holes }: Pick<Release, 'facts' | 'holes'>,
  outline: Outline,
  access: DrivingAccess,
  tools: DrivingTools
): Map<number, DrivingWay | null> =>
  new Map(
    holes.map((hole) => {
      const [alone] = rivetRuns({ facts, holes: [hole] });
      return [
        hole.number,
        alone ? drivingWays(alone, outline, access, tools).chosen : null
      ] as const;
    })
  );
