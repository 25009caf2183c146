import { answer, notPossible, type Answer, type WorkLine } from '../answer.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { wedgeBar, WedgeBarInput, type WedgeBarResult } from '../drive/wedge-bar.ts';
import type { DrivingTools } from '../drive/driving-tools.ts';
import type { ReleasedFacts, ReleasedHole } from '../release/release.ts';
import type { RefusalSaid } from '../refusal-said.ts';
import { above, atLeast, atMost, same } from '../units/tolerance.ts';
import type { ClosedMember } from './access.ts';
import { rodIndexIn } from './before-camera.ts';
import { rivetOfHole } from './rivet-of-hole.ts';

/** One rivet inside a closed member; lengths in inches. */
export interface MemberRivet {
  hole: number;
  /** on the rod: from the end that it goes in by to the bar under this rivet, the bar's own offset added */
  indexIn: number;
  /** clear inside, from the sheet under the rivet to the wall across */
  insideIn: number;
  /** shims under the bar here, in all */
  shimIn: number;
  /** how far to pull until the bar touches, and for the finished head */
  touchPullIn: number;
  finalPullIn: number;
  work: readonly WorkLine[];
}

/** Rivets one after the other that one set of shims serves. */
export interface ShimRun {
  shimIn: number;
  holes: number[];
}

export interface MemberPlan {
  rivets: ReadonlyMap<number, MemberRivet>;
  /** in the order of driving; as few as can be */
  runs: ShimRun[];
}

/** Both walls at a place along a member that tapers evenly, in. */
const wallsAtIn = ({ wallsIn, wallsFarIn }: ClosedMember, share: number): number =>
  wallsIn + ((wallsFarIn ?? wallsIn) - wallsIn) * share;

/** Clear inside height at a place along a member that tapers evenly, outside and in its walls, in. */
export const insideAtIn = (member: ClosedMember, share: number): number =>
  member.nearIn + (member.farIn - member.nearIn) * share - wallsAtIn(member, share);

/** Sheets under the rivets that change by less along them do not taper. */
const TAPERS_IN = 1 / 64;

/** What was told of the walls against the sheets that the rivets hold, which are one of them; null where both may be so. */
function contradicted(
  { widthIn }: Pick<ReleasedFacts, 'widthIn'>,
  holes: readonly ReleasedHole[],
  member: ClosedMember
): RefusalSaid | null {
  const held = holes.flatMap(({ number: hole, xIn, gripIn }) =>
    gripIn === null ? [] : [{ hole, gripIn, wallsIn: wallsAtIn(member, xIn / widthIn) }]
  );
  const through = held.find(({ gripIn, wallsIn }) => atLeast(gripIn, wallsIn));
  if (through) return { code: 'walls-under-grip', ...through };
  const grips = held.map(({ gripIn }) => gripIn);
  const [leastIn, mostIn] = [Math.min(...grips), Math.max(...grips)];
  const even = same(member.wallsIn, member.wallsFarIn ?? member.wallsIn);
  return held.length > 0 && even && above(mostIn - leastIn, TAPERS_IN)
    ? { code: 'walls-do-not-taper', leastIn, mostIn }
    : null;
}

const SAME_IN = 1e-9;

/** Every height that the shop's shims come to, smallest first. */
export function shimHeights(shimsIn: readonly number[]): number[] {
  let sums = [0];
  for (const one of shimsIn) {
    const more = sums.map((sum) => sum + one);
    sums = [
      ...sums,
      ...more.filter((sum) => !sums.some((known) => Math.abs(known - sum) < SAME_IN))
    ];
  }
  return sums.sort((a, b) => a - b);
}

/**
 * How every rivet inside a closed member is bucked by a wedge bar on a rod: its place on the rod, how far to pull, and
 * with which shims, changed as seldom as can be.
 *
 * From the first rivet on, the shims that serve all so far are kept until one is not served by any of them: no other
 * choice changes less often. Of those that serve a run the thinnest is taken.
 *
 * @param order rivets as they are driven
 * @returns `not-possible` with the rivet that no shims of the shop serve, and where the walls as told cannot hold the sheets
 * @throws never
 * @source drive, closed members; calculation `wedge-bar`
 */
export function closedMemberPlan(
  facts: ReleasedFacts,
  holes: readonly ReleasedHole[],
  order: readonly number[],
  member: ClosedMember,
  bar: Pick<DrivingTools['wedgeBars'][number], 'barIn' | 'risePerIn' | 'travelIn' | 'shimsIn'>
): Answer<MemberPlan> {
  const untrue = contradicted(facts, holes, member);
  if (untrue) return notPossible('member', untrue);
  const byNumber = new Map(holes.map((hole) => [hole.number, hole]));
  const heights = shimHeights(bar.shimsIn);
  const rivets = new Map<number, MemberRivet>();
  const runs: ShimRun[] = [];
  const bucked = (hole: ReleasedHole, shimIn: number): Answer<WedgeBarResult> => {
    const { lengthIn, gripIn, dimpledThrough } = rivetOfHole(facts, hole);
    // the shop head of a dimpled stack stands on its dimple: the room begins there
    const dimpleIn = dimpledThrough ? rivetSize(hole.dash).head.countersunk.heightIn : 0;
    const read = WedgeBarInput.safeParse({
      insideIn: insideAtIn(member, hole.xIn / facts.widthIn) - dimpleIn,
      barIn: bar.barIn,
      shimIn,
      risePerIn: bar.risePerIn,
      travelIn: bar.travelIn,
      dash: hole.dash,
      protrusionIn: lengthIn - gripIn - dimpleIn
    });
    return read.success
      ? wedgeBar(read.data)
      : notPossible('member', { code: 'no-shims-serve', hole: hole.number });
  };
  /** what the bar needs under it at a rivet: a range of shim heights */
  const rangeOf = (hole: ReleasedHole): { least: number; most: number } | null => {
    const plain = bucked(hole, 0);
    return plain.ok && plain.result.shimLeastIn !== null && plain.result.shimMostIn !== null
      ? { least: plain.result.shimLeastIn, most: plain.result.shimMostIn }
      : null;
  };

  let serving: number[] = heights;
  let run: ReleasedHole[] = [];
  const close = (): void => {
    const [shimIn] = serving;
    if (run.length === 0 || shimIn === undefined) return;
    runs.push({ shimIn, holes: run.map(({ number }) => number) });
    for (const hole of run) {
      const found = bucked(hole, shimIn);
      if (!found.ok) continue;
      const { touchPullIn, finalPullIn } = found.result;
      if (touchPullIn === null || finalPullIn === null) continue;
      rivets.set(hole.number, {
        hole: hole.number,
        indexIn: rodIndexIn(facts, hole, member),
        insideIn: insideAtIn(member, hole.xIn / facts.widthIn),
        shimIn,
        touchPullIn,
        finalPullIn,
        work: found.work
      });
    }
  };
  for (const number of order) {
    const hole = byNumber.get(number);
    if (!hole) continue;
    const range = rangeOf(hole);
    const all = range
      ? heights.filter((shim) => atLeast(shim, range.least) && atMost(shim, range.most))
      : [];
    if (all.length === 0) return notPossible('shims', { code: 'no-shims-serve', hole: number });
    const still = serving.filter((shim) => all.includes(shim));
    if (still.length === 0) {
      close();
      run = [];
      serving = all;
    } else serving = still;
    run.push(hole);
  }
  close();
  return answer({ rivets, runs }, []);
}
