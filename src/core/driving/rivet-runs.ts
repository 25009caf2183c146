import type { Release, ReleasedHole } from '../release/release.ts';
import type { Alloy, Dash, Head } from '../schema/fields.ts';
import { atMost } from '../units/tolerance.ts';
import { rivetOfHole, type HoleRivet } from './rivet-of-hole.ts';

/** Equal rivets of a release, driven one like the other; lengths in inches. */
export interface RivetRun {
  /** its part number */
  key: string;
  partNumber: string;
  alloy: Alloy;
  dash: Dash;
  head: Head;
  lengthIn: number;
  gripLeastIn: number;
  gripMostIn: number;
  /** the far sheet is dimpled too */
  dimpledThrough: boolean;
  /** the sheets are thin enough to be dimpled together, by the rivet itself */
  punches: boolean;
  holes: ReleasedHole[];
}

/** So thin in all, sheets are dimpled together with the rivet as punch (stack-up, second rule). */
const DIMPLED_TOGETHER_TO_IN = 0.04;

/** The run that a rivet belongs to. */
export const runKey = ({
  partNumber,
  dimpledThrough
}: Pick<HoleRivet, 'partNumber' | 'dimpledThrough'>): string =>
  `${partNumber}${dimpledThrough ? ' dimpled' : ''}`;

/** The runs of a release, in the order of their first holes. */
export function rivetRuns({ facts, holes }: Pick<Release, 'facts' | 'holes'>): RivetRun[] {
  const runs = new Map<string, RivetRun>();
  for (const hole of holes) {
    const rivet = rivetOfHole(facts, hole);
    const key = runKey(rivet);
    const run = runs.get(key);
    if (run) {
      run.holes.push(hole);
      run.gripLeastIn = Math.min(run.gripLeastIn, rivet.gripIn);
      run.gripMostIn = Math.max(run.gripMostIn, rivet.gripIn);
    } else
      runs.set(key, {
        key,
        partNumber: rivet.partNumber,
        alloy: rivet.alloy,
        dash: hole.dash,
        head: facts.head,
        lengthIn: rivet.lengthIn,
        gripLeastIn: rivet.gripIn,
        gripMostIn: rivet.gripIn,
        dimpledThrough: rivet.dimpledThrough,
        punches: false,
        holes: [hole]
      });
  }
  return [...runs.values()].map((run) => ({
    ...run,
    punches: run.dimpledThrough && atMost(run.gripMostIn, DIMPLED_TOGETHER_TO_IN)
  }));
}
