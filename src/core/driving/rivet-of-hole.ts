import { partNumber as readPart } from '../stack/part-number.ts';
import type { ReleasedFacts, ReleasedHole } from '../release/release.ts';
import type { Alloy } from '../schema/fields.ts';

/** What goes into one hole of a release; lengths in inches. */
export interface HoleRivet {
  partNumber: string;
  alloy: Alloy;
  lengthIn: number;
  holeIn: number;
  /** the hole's own, or in releases made when a joint had one the joint's */
  gripIn: number;
  dimpledThrough: boolean;
}

const alloys = new Map<string, Alloy>();

/** The alloy that a part number names; asked at every tap. */
function alloyOf(part: string): Alloy {
  const known = alloys.get(part);
  if (known) return known;
  const read = readPart({ text: part });
  // a release freezes part numbers that the plan has made
  const alloy = read.ok ? read.result.alloy : 'AD';
  alloys.set(part, alloy);
  return alloy;
}

/** The rivet of one hole: of its own stack, or in old releases the joint's one. */
export function rivetOfHole(facts: ReleasedFacts, hole: ReleasedHole): HoleRivet {
  const stack = facts.stacks[hole.stack];
  const { partNumber, lengthIn, holeIn } = stack ?? facts;
  return {
    partNumber,
    alloy: alloyOf(partNumber),
    lengthIn,
    holeIn,
    gripIn: hole.gripIn ?? facts.gripIn,
    dimpledThrough: stack?.dimpledThrough ?? false
  };
}
