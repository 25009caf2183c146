import { rivetOfHole } from '../driving/rivet-of-hole.ts';
import type { HeldOpenHole, Release, ReleasedFacts, ReleasedHole } from '../release/release.ts';
import { blindStanding } from '../reworking/blind-rivets.ts';
import type { ReplacedRivet } from '../reworking/replaced-rivet.ts';
import { asReworked } from '../reworking/rework-state.ts';
import { atLeast, looksSame } from '../units/tolerance.ts';
import { samePlace } from './same-place.ts';
import {
  isAnotherRivet,
  replacedBy,
  type AgainWhy,
  type EarlierRelease,
  type SinceRelease
} from './since-release.ts';

const sameLength = (a: number | null, b: number | null): boolean =>
  a === null || b === null ? a === b : looksSame(a, b);
const sameSheets = (a: ReleasedHole, b: ReleasedHole): boolean => {
  const [before, after] = [a.room?.sheetsIn ?? [], b.room?.sheetsIn ?? []];
  return (
    before.length === after.length && before.every((thick, at) => looksSame(thick, after[at] ?? 0))
  );
};
/** Room enough for what was decided there: no edge and no neighbor came closer. */
const asMuchRoom = ({ room: was }: ReleasedHole, { room: now }: ReleasedHole): boolean => {
  if (!was || !now) return was === now;
  const enough = (before: number | null, after: number | null) =>
    after === null || (before !== null && (atLeast(after, before) || looksSame(after, before)));
  return (
    enough(was.edgeIn, now.edgeIn) &&
    enough(was.pitchIn, now.pitchIn) &&
    enough(was.betweenRowsIn, now.betweenRowsIn)
  );
};

/** What becomes of one planned hole of a new release. */
type Fate =
  | { fate: 'again'; was: number | null; why: AgainWhy; inIt: boolean }
  | { fate: 'blind'; was: HeldOpenHole | ReleasedHole; fastener: string }
  | {
      fate: 'stays';
      was: ReleasedHole;
      inIt: boolean;
      /** its own was replaced by this one; null where it is as planned */
      rivet: ReplacedRivet | null;
    };

/** How the rivet planned now differs from the one planned before; null where it is the same in the same sheets. */
function differenceOf(
  { facts: was, hole: original }: { facts: ReleasedFacts; hole: ReleasedHole },
  { facts: now, hole: planned }: { facts: ReleasedFacts; hole: ReleasedHole },
  kept: SinceRelease['replaced'][number] | undefined
): AgainWhy | null {
  const after = rivetOfHole(now, planned);
  const before = rivetOfHole(was, original);
  // what it took over itself is compared as it was planned
  const { partNumber, holeIn } = kept?.planned ?? before;
  if (partNumber !== after.partNumber || before.dimpledThrough !== after.dimpledThrough)
    return 'another-rivet';
  if (!looksSame(holeIn, after.holeIn)) return 'another-hole';
  if (!sameLength(original.gripIn, planned.gripIn)) return 'another-grip';
  return sameSheets(original, planned) ? null : 'other-sheets';
}

/** A release as a new one finds it: as released, and as it stands. */
export class Before {
  readonly present: Pick<Release, 'facts' | 'holes' | 'heldOpen'>;
  constructor(readonly earlier: EarlierRelease) {
    this.present = asReworked(earlier.release, earlier.rework);
  }

  /** Whether a rivet is in a hole: driven, or looked at where driving was not logged. */
  isIn(number: number): boolean {
    const { drive, states } = this.earlier;
    return drive.holes.get(number)?.driven === true || (states.get(number)?.last ?? null) !== null;
  }

  at(planned: ReleasedHole): ReleasedHole | undefined {
    const { holes, heldOpen } = this.present;
    return (
      holes.find((one) => samePlace(one, planned)) ??
      heldOpen.find((one) => samePlace(one, planned))
    );
  }

  /** The blind rivet that is in a hole, or was approved for it. */
  fastenerIn(number: number): string | undefined {
    const { rework, since } = this.earlier;
    return (
      rework.holes.get(number)?.blind?.fastener ??
      since?.blind.find((one) => one.hole === number)?.fastener
    );
  }

  /** What becomes of a planned hole. */
  fateOf(planned: ReleasedHole, facts: ReleasedFacts): Fate {
    const { release, rework, since } = this.earlier;
    const was = this.at(planned);
    const again = (why: AgainWhy, inIt = false): Fate => ({
      fate: 'again',
      was: was?.number ?? null,
      why,
      inIt
    });
    // a rivet of a release before that, which nobody has followed since
    const forgotten = since?.gone.some((one) => samePlace(one, planned)) ?? false;
    if (forgotten && !(was && this.isIn(was.number))) return again('old-rivet', true);
    if (!was) return again('new-hole');
    const fastener = this.fastenerIn(was.number);
    if (fastener !== undefined)
      // its grip was the data holder’s word for those sheets
      return sameLength(was.gripIn, planned.gripIn) && sameSheets(was, planned)
        ? { fate: 'blind', was, fastener }
        : again('other-sheets', true);
    const worked = rework.holes.get(was.number);
    const inIt = this.isIn(was.number);
    // what was driven into a hole that is not decided comes out first
    if (worked?.stage === 'ask' && inIt) return again('old-rivet', true);
    if (worked?.stage === 'out' || worked?.stage === 'ask') return again('empty');
    const old = since?.again.find(
      (one) => one.hole === was.number && one.inIt && isAnotherRivet(one.why)
    );
    if (old && !worked && !inIt) return again(old.why, true);
    const original = release.holes.find(({ number }) => number === was.number);
    if (!original) return again('new-hole');
    const kept = since?.replaced.find((one) => one.hole === was.number);
    const differs = differenceOf(
      { facts: release.facts, hole: original },
      { facts, hole: planned },
      kept
    );
    if (differs !== null) return again(differs, inIt);
    const rivet = replacedBy(worked) ?? kept?.rivet ?? null;
    return rivet && !asMuchRoom(original, planned)
      ? again('less-room', inIt)
      : { fate: 'stays', was, inIt, rivet };
  }

  /** Whether a blind rivet planned for an open hole is in it and good, so that it is planned no more. */
  hasGood(planned: HeldOpenHole): boolean {
    const { release, rework, since } = this.earlier;
    const was = this.present.heldOpen.find((one) => samePlace(one, planned));
    if (!was || !planned.blind) return false;
    const { fastener } = planned.blind;
    const isGood = was.blind
      ? was.blind.fastener === fastener &&
        blindStanding(rework.blinds.get(was.number), release.facts) === 'good'
      : // it was good in a release before that
        (since?.blind.some((one) => one.hole === was.number && one.fastener === fastener) ?? false);
    return isGood && sameLength(was.gripIn, planned.gripIn) && sameSheets(was, planned);
  }

  /** A blind rivet there that nobody has found good: the new release asks for it again. */
  stillAsked(was: number, hole: number): ReleasedFacts['blinds'] {
    const { release, rework } = this.earlier;
    const { blind } = this.present.heldOpen.find(({ number }) => number === was) ?? {};
    return blind && blindStanding(rework.blinds.get(was), release.facts) !== 'good'
      ? [{ hole, ...blind }]
      : [];
  }

  /** Rivets in the metal at places where the new release has no hole. */
  gone(next: readonly ReleasedHole[]): SinceRelease['gone'] {
    const { release, since } = this.earlier;
    const isFollowed = (one: { xIn: number; yIn: number }) =>
      next.some((planned) => samePlace(one, planned));
    return [
      ...(since?.gone ?? []).filter((one) => !isFollowed(one)),
      ...this.present.holes
        .filter((one) => this.isIn(one.number) && !isFollowed(one))
        .map(({ number, xIn, yIn }) => ({ release: release.number, hole: number, xIn, yIn }))
    ];
  }
}
