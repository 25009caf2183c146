import type { HoleEvent } from '../inspect/hole-events.ts';
import type { DriveEvent, HoleDriven } from '../driving/drive-events.ts';
import { drivenAt } from '../driving/drive-move.ts';
import { rivetOfHole } from '../driving/rivet-of-hole.ts';
import { flushAt } from '../release/flush-at.ts';
import type { Release, ReleasedFacts, ReleasedHole } from '../release/release.ts';
import type { ReplacedRivet } from '../reworking/replaced-rivet.ts';
import { looksSame } from '../units/tolerance.ts';
import { Before } from './before-release.ts';
import type { EarlierRelease, SinceRelease } from './since-release.ts';

type Tap = Extract<DriveEvent, { kind: 'driven' }>;

/** The blows at the rivet that is in a hole, first to last; taken back ones are none. */
function blowsAt(
  driven: HoleDriven | undefined,
  driving: readonly DriveEvent[],
  hole: number
): Tap[] {
  const at = new Set<string>();
  for (let one = driven?.driven ? driven : null; one; one = one.before) at.add(one.hitAt);
  return driving
    .filter(
      (event): event is Tap =>
        event.kind === 'driven' && event.hole === hole && at.has(drivenAt(event))
    )
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}

/** A new release as it takes over what stays as it was. */
export interface TakenOver {
  facts: ReleasedFacts;
  holes: ReleasedHole[];
  /** the taps and looks it takes over, of holes by their new numbers */
  taps: Tap[];
  looks: HoleEvent[];
  since: Omit<SinceRelease, 'changes'>;
}

/**
 * What a new release takes over from the one before it: rivets that are in holes at the same place, of the same rivet in the
 * same sheets, with the looks at them where the limits are the same. A rivet that was replaced by another size or length stays
 * what it is: the metal has its hole. Everything else is driven, or looked at, again.
 *
 * @param next the new release as planned
 * @throws never
 * @source rework and record
 */
export function takeOver(
  earlier: EarlierRelease,
  next: Pick<Release, 'facts' | 'holes'> & Partial<Pick<Release, 'heldOpen'>>
): TakenOver {
  const { release } = earlier;
  const before = new Before(earlier);
  const facts: ReleasedFacts = { ...next.facts, stacks: [...next.facts.stacks] };
  const since: TakenOver['since'] = {
    issue: release.id,
    release: release.number,
    carried: [],
    again: [],
    gone: before.gone(next.holes),
    replaced: [],
    blind: []
  };
  const taken: TakenOver = { facts, holes: [], taps: [], looks: [], since };
  for (const planned of next.holes) {
    const fate = before.fateOf(planned, next.facts);
    const { number: hole } = planned;
    if (fate.fate === 'again') {
      since.again.push({ hole, was: fate.was, why: fate.why, inIt: fate.inIt });
      taken.holes.push(planned);
    } else if (fate.fate === 'blind') {
      since.blind.push({ hole, fastener: fate.fastener });
      facts.blinds = [...facts.blinds, ...before.stillAsked(fate.was.number, hole)];
      taken.holes.push(planned);
    } else {
      taken.holes.push(asInMetal(taken, planned, fate.rivet));
      if (fate.inIt) carry(taken, earlier, planned, fate.was);
      else since.again.push({ hole, was: fate.was.number, why: 'not-driven', inIt: false });
    }
  }
  for (const planned of next.heldOpen ?? []) {
    if (!planned.blind || !before.hasGood(planned)) continue;
    since.blind.push({ hole: planned.number, fastener: planned.blind.fastener });
    facts.blinds = facts.blinds.filter(({ hole }) => hole !== planned.number);
  }
  return taken;
}

/** A planned hole as the metal has it: with the rivet that its own was replaced by, whether that is in yet or not. */
function asInMetal(
  { facts, since }: TakenOver,
  planned: ReleasedHole,
  rivet: ReplacedRivet | null
): ReleasedHole {
  const stack = facts.stacks[planned.stack];
  if (!rivet || !stack) return planned;
  const { partNumber, holeIn } = rivetOfHole(facts, planned);
  facts.stacks.push({ ...stack, ...rivet });
  since.replaced.push({ hole: planned.number, rivet, planned: { partNumber, holeIn } });
  return { ...planned, dash: rivet.dash, stack: facts.stacks.length - 1 };
}

/** Whether a head is flush, or not, by the same limits in both releases. */
function sameLimits(
  was: { facts: ReleasedFacts; hole: ReleasedHole },
  now: { facts: ReleasedFacts; hole: ReleasedHole }
): boolean {
  if (was.facts.limits !== now.facts.limits || was.facts.head !== now.facts.head) return false;
  const before = flushAt(was.facts, was.hole);
  const after = flushAt(now.facts, { ...now.hole, dash: was.hole.dash });
  if (before === null || after === null) return before === after;
  return (
    looksSame(before.limits.lowIn, after.limits.lowIn) &&
    looksSame(before.limits.highIn, after.limits.highIn)
  );
}

/** The blows at a rivet that stays, and the looks at it where its limits are the same. */
function carry(
  { facts, taps, looks, since }: TakenOver,
  { release, driving, drive, states }: EarlierRelease,
  now: ReleasedHole,
  was: ReleasedHole
): void {
  const from = { issue: release.id, release: release.number, hole: was.number };
  // every blow that counts: whoever held a tool at it did, not only the last; its batch is counted where it was driven
  for (const tap of blowsAt(drive.holes.get(was.number), driving, was.number))
    taps.push({ ...tap, hole: now.number, batch: null, carried: tap.carried ?? from });
  const sameHere = sameLimits({ facts: release.facts, hole: was }, { facts, hole: now });
  const state = sameHere ? states.get(was.number) : undefined;
  for (const look of state?.ofRivet ?? [])
    looks.push({ ...look, hole: now.number, carried: look.carried ?? from });
  const looked = (state?.standing ?? null) !== null;
  since.carried.push({ hole: now.number, was: was.number, looked });
  if (!looked)
    since.again.push({
      hole: now.number,
      was: was.number,
      why: sameHere ? 'not-looked-at' : 'other-limits',
      inIt: true
    });
}
