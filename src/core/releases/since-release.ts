import { z } from 'zod';
import type { HoleEvent, HoleState } from '../check/hole-events.ts';
import type { DriveEvent, DriveState, HoleDriven } from '../driving/drive-events.ts';
import { rivetOfHole } from '../driving/rivet-of-hole.ts';
import { flushAt } from '../issue/flush-at.ts';
import type { Issue, IssuedFacts, IssuedHole } from '../issue/issue.ts';
import { ReplacedRivet } from '../reworking/replaced-rivet.ts';
import { blindStanding } from '../reworking/blind-rivets.ts';
import { asReworked, type HoleRework, type ReworkState } from '../reworking/rework-state.ts';
import { atLeast, looksSame } from '../units/tolerance.ts';
import { samePlace } from './same-place.ts';

export const AgainWhy = z.enum([
  'new-hole',
  'another-rivet',
  'another-hole',
  'another-grip',
  'other-sheets',
  'less-room',
  'old-rivet',
  'other-limits',
  'empty',
  'not-driven',
  'not-looked-at'
]);
/** Why a head of a new release has to be driven or looked at, though there was an earlier one. */
export type AgainWhy = z.output<typeof AgainWhy>;

/** Whether what is planned is no longer what is in the hole: that one comes out first. */
export const isAnotherRivet = (why: AgainWhy): boolean =>
  why !== 'other-limits' && why !== 'not-looked-at' && why !== 'not-driven';

const hole = z.int().min(1);
export const SinceRelease = z.strictObject({
  issue: z.string(),
  release: z.int().min(1),
  /** heads taken over as they were logged there: driven, and where `looked` looked at */
  carried: z.array(z.strictObject({ hole, was: hole, looked: z.boolean() })),
  /** heads to be driven or looked at, with the hole there; `inIt`: a rivet of the earlier release is in it */
  again: z.array(z.strictObject({ hole, was: hole.nullable(), why: AgainWhy, inIt: z.boolean() })),
  /** holes of earlier releases with a rivet in them, where this one has none: by their release and place, until a hole is there again */
  gone: z.array(
    z.strictObject({ release: z.int().min(1), hole, xIn: z.number(), yIn: z.number() })
  ),
  /** rivets replaced there by another size or length, which the new release takes over */
  replaced: z.array(
    z.strictObject({
      hole,
      rivet: ReplacedRivet,
      /** what the plan has for it: what the next release is compared with */
      planned: z.strictObject({ partNumber: z.string(), holeIn: z.number() })
    })
  ),
  /** holes with an approved blind fastener in them, which the new release takes over */
  blind: z.array(z.strictObject({ hole, fastener: z.string() })),
  /** fields of the joint that differ, as typed */
  changes: z.array(z.strictObject({ path: z.string(), was: z.string(), now: z.string() }))
});
/** What a release changed against the one before it, frozen with it. */
export type SinceRelease = z.output<typeof SinceRelease>;

/** A release with everything that was logged of it. */
export interface EarlierRelease {
  issue: Pick<Issue, 'id' | 'number' | 'facts' | 'holes' | 'heldOpen'>;
  driving: readonly DriveEvent[];
  drive: DriveState;
  states: ReadonlyMap<number, HoleState>;
  rework: ReworkState;
  /** what it took over itself; null for a first release */
  since: SinceRelease | null;
}

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
      (event): event is Tap => event.kind === 'driven' && event.hole === hole && at.has(event.at)
    )
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}

/** A new release as it takes over what stays as it was. */
export interface TakenOver {
  facts: IssuedFacts;
  holes: IssuedHole[];
  /** the taps and looks it takes over, of holes by their new numbers */
  taps: Tap[];
  looks: HoleEvent[];
  since: Omit<SinceRelease, 'changes'>;
}

const sameLength = (a: number | null, b: number | null): boolean =>
  a === null || b === null ? a === b : looksSame(a, b);
const sameSheets = (a: IssuedHole, b: IssuedHole): boolean => {
  const [before, after] = [a.room?.sheetsIn ?? [], b.room?.sheetsIn ?? []];
  return (
    before.length === after.length && before.every((thick, at) => looksSame(thick, after[at] ?? 0))
  );
};
/** Room enough for what was decided there: no edge and no neighbor came closer. */
const asMuchRoom = ({ room: was }: IssuedHole, { room: now }: IssuedHole): boolean => {
  if (!was || !now) return was === now;
  const enough = (before: number | null, after: number | null) =>
    after === null || (before !== null && (atLeast(after, before) || looksSame(after, before)));
  return (
    enough(was.edgeIn, now.edgeIn) &&
    enough(was.pitchIn, now.pitchIn) &&
    enough(was.betweenRowsIn, now.betweenRowsIn)
  );
};

/** The rivet that a hole’s own was replaced by; null where it is as planned. */
export const replacedBy = (rework: HoleRework | undefined) =>
  rework?.stage === 'ready' || rework?.stage === 'left' ? rework.rivet : null;

/**
 * What a new release takes over from the one before it: rivets that are in holes at the same place, of the same rivet in the
 * same sheets, with the looks at them where the limits are the same. A rivet that was replaced by another size or length stays
 * what it is: the metal has its hole. Everything else is driven, or looked at, again.
 *
 * @param next the new release as planned
 * @throws never
 * @source design: issuing; handbook 4.7 and 4.8
 */
export function takeOver(
  earlier: EarlierRelease,
  next: Pick<Issue, 'facts' | 'holes'> & Partial<Pick<Issue, 'heldOpen'>>
): TakenOver {
  const { issue, driving, drive, states, rework } = earlier;
  const present = asReworked(issue, rework);
  const facts: IssuedFacts = { ...next.facts, stacks: [...next.facts.stacks] };
  const sameLimits = issue.facts.limits === facts.limits && issue.facts.head === facts.head;
  const sameFlush = (was: IssuedHole, now: IssuedHole): boolean => {
    const [before, after] = [flushAt(issue.facts, was), flushAt(facts, now)];
    if (before === null || after === null) return before === after;
    return (
      looksSame(before.limits.lowIn, after.limits.lowIn) &&
      looksSame(before.limits.highIn, after.limits.highIn)
    );
  };
  const taken: TakenOver = {
    facts,
    holes: [],
    taps: [],
    looks: [],
    since: {
      issue: issue.id,
      release: issue.number,
      carried: [],
      again: [],
      gone: [],
      replaced: [],
      blind: []
    }
  };
  const { since } = taken;
  const isIn = (number: number): boolean =>
    drive.holes.get(number)?.driven === true || (states.get(number)?.last ?? null) !== null;
  const found = new Set<number>();

  const carry = (now: IssuedHole, was: IssuedHole): void => {
    const from = { issue: issue.id, release: issue.number, hole: was.number };
    // every blow that counts: whoever held a tool at it did, not only the last; its batch is counted where it was driven
    for (const tap of blowsAt(drive.holes.get(was.number), driving, was.number))
      taken.taps.push({ ...tap, hole: now.number, batch: null, carried: tap.carried ?? from });
    const sameHere = sameLimits && sameFlush(was, { ...now, dash: was.dash });
    const state = sameHere ? states.get(was.number) : undefined;
    for (const look of state?.ofRivet ?? [])
      taken.looks.push({ ...look, hole: now.number, carried: look.carried ?? from });
    const looked = (state?.standing ?? null) !== null;
    since.carried.push({ hole: now.number, was: was.number, looked });
    if (!looked)
      since.again.push({
        hole: now.number,
        was: was.number,
        why: sameHere ? 'not-looked-at' : 'other-limits',
        inIt: true
      });
  };

  for (const planned of next.holes) {
    const was =
      present.holes.find((one) => samePlace(one, planned)) ??
      present.heldOpen.find((one) => samePlace(one, planned));
    const again = (why: AgainWhy, inIt = false) => {
      since.again.push({ hole: planned.number, was: was?.number ?? null, why, inIt });
      taken.holes.push(planned);
    };
    // a rivet of a release before that, which nobody has followed since
    const forgotten = earlier.since?.gone.some((one) => samePlace(one, planned)) ?? false;
    if (forgotten && !(was && isIn(was.number))) {
      if (was) found.add(was.number);
      again('old-rivet', true);
      continue;
    }
    if (!was) {
      again('new-hole');
      continue;
    }
    found.add(was.number);
    const worked = rework.holes.get(was.number);
    const fastener =
      worked?.blind?.fastener ??
      earlier.since?.blind.find((one) => one.hole === was.number)?.fastener;
    if (fastener !== undefined) {
      // its grip was the data holder’s word for those sheets
      if (!sameLength(was.gripIn, planned.gripIn) || !sameSheets(was, planned)) {
        again('other-sheets', true);
        continue;
      }
      since.blind.push({ hole: planned.number, fastener });
      const { blind } = present.heldOpen.find(({ number }) => number === was.number) ?? {};
      // nobody has found it good: it is asked for again
      if (blind && blindStanding(rework.blinds.get(was.number), issue.facts) !== 'good')
        facts.blinds = [...facts.blinds, { hole: planned.number, ...blind }];
      taken.holes.push(planned);
      continue;
    }
    // what was driven into a hole that is not decided comes out first
    if (worked?.stage === 'ask' && isIn(was.number)) {
      again('old-rivet', true);
      continue;
    }
    if (worked?.stage === 'out' || worked?.stage === 'ask') {
      again('empty');
      continue;
    }
    const old = earlier.since?.again.find(
      (one) => one.hole === was.number && one.inIt && isAnotherRivet(one.why)
    );
    if (old && !worked && !isIn(was.number)) {
      again(old.why, true);
      continue;
    }
    const original = issue.holes.find(({ number }) => number === was.number);
    if (!original) {
      again('new-hole');
      continue;
    }
    const inIt = isIn(was.number);
    const after = rivetOfHole(next.facts, planned);
    const before = rivetOfHole(issue.facts, original);
    // what it took over itself is compared as it was planned
    const kept = earlier.since?.replaced.find((one) => one.hole === was.number);
    const { partNumber, holeIn } = kept?.planned ?? before;
    const differs: AgainWhy | null =
      partNumber !== after.partNumber || before.dimpledThrough !== after.dimpledThrough
        ? 'another-rivet'
        : !looksSame(holeIn, after.holeIn)
          ? 'another-hole'
          : !sameLength(original.gripIn, planned.gripIn)
            ? 'another-grip'
            : !sameSheets(original, planned)
              ? 'other-sheets'
              : null;
    const rivet = replacedBy(worked) ?? kept?.rivet ?? null;
    if (differs !== null) again(differs, inIt);
    else if (rivet && !asMuchRoom(original, planned)) again('less-room', inIt);
    else {
      const stack = facts.stacks[planned.stack];
      // the metal has that hole, whether its rivet is in yet or not
      if (rivet && stack) {
        facts.stacks.push({ ...stack, ...rivet });
        taken.holes.push({ ...planned, dash: rivet.dash, stack: facts.stacks.length - 1 });
        since.replaced.push({
          hole: planned.number,
          rivet,
          planned: { partNumber: after.partNumber, holeIn: after.holeIn }
        });
      } else taken.holes.push(planned);
      if (inIt) carry(planned, was);
      else
        since.again.push({ hole: planned.number, was: was.number, why: 'not-driven', inIt: false });
    }
  }
  // a blind rivet that is in and good stays: it is planned no more
  for (const planned of next.heldOpen ?? []) {
    const was = present.heldOpen.find((one) => samePlace(one, planned));
    if (!was || !planned.blind) continue;
    const { fastener } = planned.blind;
    const isGood = was.blind
      ? was.blind.fastener === fastener &&
        blindStanding(rework.blinds.get(was.number), issue.facts) === 'good'
      : // it was good in a release before that
        (earlier.since?.blind.some((one) => one.hole === was.number && one.fastener === fastener) ??
        false);
    if (!isGood || !sameLength(was.gripIn, planned.gripIn) || !sameSheets(was, planned)) continue;
    since.blind.push({ hole: planned.number, fastener });
    facts.blinds = facts.blinds.filter(({ hole }) => hole !== planned.number);
  }
  since.gone = [
    ...(earlier.since?.gone ?? []).filter(
      (one) => !next.holes.some((planned) => samePlace(one, planned))
    ),
    ...present.holes
      .filter(({ number }) => !found.has(number) && isIn(number))
      .map(({ number, xIn, yIn }) => ({ release: issue.number, hole: number, xIn, yIn }))
  ];
  return taken;
}
