import { notPossible, workLine, type Answer, type WorkLine } from '../answer.ts';
import { drillIn } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { ReleasedFacts, ReleasedHole } from '../release/release.ts';
import { by, len } from '../notation.ts';
import { oversize } from '../rework/oversize.ts';
import type { Dash, Head } from '../schema/fields.ts';
import { partNumber as readPartNumber, writePartNumber } from '../stack/part-number.ts';
import { predictHead } from '../stack/predict-head.ts';
import { stockedLength } from '../stack/rivet-length.ts';
import { above, below, isUnder } from '../units/tolerance.ts';
import { releasedRivet, type ReplacedRivet } from './replaced-rivet.ts';
import type { SeenInHole } from './rework-moves.ts';

/** A hole whose rivet came out so often is for the people who own the data (rework). */
export const OUTS_BEFORE_REFERRAL = 3;

/** A hole that measures more, in D, is a slipped decimal. */
const MOST_BELIEVABLE_D = 2;

/** What stands against the same or the next size in a hole. */
export type AgainstSize =
  | 'hole'
  | 'edge'
  | 'pitch'
  | 'between-rows'
  | 'flush'
  | 'cut-too-deep'
  | 'length'
  | 'no-larger-size';

export interface HoleDecision {
  decision: 'keep' | 'next-size' | 'refer';
  /** why it is referred whatever its size; null where the size decides */
  because: 'third-time' | SeenInHole | null;
  against: AgainstSize[];
  /** what goes in; null where it is referred */
  rivet: ReplacedRivet | null;
  /** the hole is under its nominal size: what it is reamed or drilled to before anything goes in */
  tooSmall?: { drill: string; drillIn: number } | undefined;
}

/** An empty hole as found. */
export interface FoundHole {
  /** at its widest: an oval hole is as wide as that */
  widestIn: number;
  /** how far under the skin its countersink would leave the head; null where it is none, or cut right */
  tooDeepIn: number | null;
  seen: readonly SeenInHole[];
  /** how often a rivet was taken out of it, this time counted */
  outs: number;
}

/**
 * What becomes of a hole that a rivet was taken out of: the same size, the next one, or a question to those who own the data.
 *
 * @param hole as it is now, a size it was given by an earlier rework counted
 * @returns `not-possible` where the release does not say what the hole stands among
 * @source rework; calculation `oversize`, with rows, alloy and the cut held too
 */
export function decideHole(
  facts: ReleasedFacts,
  hole: ReleasedHole,
  found: FoundHole
): Answer<HoleDecision> {
  const { rules, head } = facts;
  const { room, dash } = hole;
  if (rules === null || room === null)
    return notPossible('hole', { code: 'no-room-frozen', hole: hole.number });
  const { widestIn, tooDeepIn, seen, outs } = found;
  const mostIn = MOST_BELIEVABLE_D * rivetSize(dash).diameterIn;
  if (above(widestIn, mostIn))
    return notPossible('widestIn', { code: 'hole-too-large', holeIn: widestIn, dash, mostIn });
  const decided = bySize({ rules, head, room, dash }, widestIn);
  if (!decided.ok) return decided;
  const work = [
    ...decided.work,
    workLine(
      'rivets removed from this hole',
      `at ${OUTS_BEFORE_REFERRAL} it is referred`,
      outs,
      'times'
    )
  ];
  const say = (result: HoleDecision): Answer<HoleDecision> => ({ ok: true, result, work });
  if (outs >= OUTS_BEFORE_REFERRAL) return say(referred([], 'third-time'));
  const grave = seen[0];
  if (grave !== undefined) return say(referred([], grave));
  const keeps = decided.result.decision === 'keep';
  const cutDeepIn =
    head === 'countersunk' && tooDeepIn !== null && above(tooDeepIn, 0) ? tooDeepIn : null;
  if (keeps && cutDeepIn === null) return say(sameSize(facts, hole, widestIn, rules));
  // a cut that is too deep asks for the next size even where the hole itself would do: it is held against all but that
  const keepsIn = drillIn(rivetSize(dash).drill[rules.drill]);
  const grown = keeps
    ? bySize({ rules, head, room, dash }, Math.max(widestIn, keepsIn + JUST_OVER_IN))
    : decided;
  return grown.ok
    ? say(nextSize(facts, hole, { rules, room, cutDeepIn, fails: grown.result.fails }, work))
    : grown;
}

type Rules = NonNullable<ReleasedFacts['rules']>;
type Room = NonNullable<ReleasedHole['room']>;

const referred = (
  against: AgainstSize[],
  because: HoleDecision['because'] = null
): HoleDecision => ({ decision: 'refer', because, against, rivet: null });

/** What the size of a hole alone asks for, in the room that it has. */
const bySize = (
  { rules, head, room, dash }: { rules: Rules; head: Head; room: Room; dash: Dash },
  holeIn: number
) =>
  oversize(
    {
      dash,
      head,
      holeIn,
      edgeIn: room.edgeIn,
      pitchesIn: room.pitchIn === null ? [] : [room.pitchIn],
      sheetsIn: room.sheetsIn,
      increments: rules.increments,
      school: rules.drill
    },
    rules.multipliers
  );

/** The same rivet again, or a longer one: in a hole under its nominal size once that is drilled. */
function sameSize(
  facts: ReleasedFacts,
  hole: ReleasedHole,
  widestIn: number,
  rules: Rules
): HoleDecision {
  const { dash } = hole;
  const own = releasedRivet(facts, hole);
  const rivet = headedRivet(facts, hole, { ...own, dash, holeIn: Math.max(own.holeIn, widestIn) });
  if (!rivet) return referred(['length']);
  const same: HoleDecision = { decision: 'keep', because: null, against: [], rivet };
  const { nominalHoleIn, drill: drills } = rivetSize(dash);
  const drill = drills[rules.drill];
  return isUnder(widestIn, nominalHoleIn)
    ? { ...same, tooSmall: { drill, drillIn: drillIn(drill) } }
    : same;
}

/** The next size, held against rows, cut and length too; what is reckoned goes into `work`. */
function nextSize(
  facts: ReleasedFacts,
  hole: ReleasedHole,
  held: { rules: Rules; room: Room; cutDeepIn: number | null; fails: readonly AgainstSize[] },
  work: WorkLine[]
): HoleDecision {
  const { rules, room, cutDeepIn } = held;
  const against = [...held.fails];
  const next = nextDash(hole.dash);
  if (next === null) return referred(against.length > 0 ? against : ['no-larger-size']);
  const bigger = rivetSize(next);
  if (room.betweenRowsIn !== null) {
    const leastIn = rules.multipliers.transverseMinD * bigger.diameterIn;
    work.push(
      workLine(
        'its least between rows',
        by`${rules.multipliers.transverseMinD} D; there is ${len(room.betweenRowsIn)}`,
        leastIn,
        'in'
      )
    );
    if (below(room.betweenRowsIn, leastIn)) against.push('between-rows');
  }
  if (cutDeepIn !== null) {
    const own = rivetSize(hole.dash).head.countersunk.heightIn;
    const deeperIn = bigger.head.countersunk.heightIn - own;
    work.push(
      workLine('its head is deeper by', by`the cut lies ${len(cutDeepIn)} too deep`, deeperIn, 'in')
    );
    if (above(cutDeepIn, deeperIn)) against.push('cut-too-deep');
  }
  const gripIn = hole.gripIn ?? facts.gripIn;
  const { increments, lean } = rules;
  const stocked = stockedLength(gripIn, { dash: next, increments, lean });
  if (against.length > 0 || !stocked.ok) return referred(against);
  const rivet = headedRivet(facts, hole, {
    dash: next,
    partNumber: releasedRivet(facts, hole).partNumber,
    lengthIn: stocked.lengthIn,
    holeIn: drillIn(bigger.drill[rules.drill])
  });
  if (!rivet) return referred(['length']);
  work.push(
    workLine(
      'its length',
      by`for a grip of ${len(gripIn)}, near ${len(stocked.idealIn)}`,
      rivet.lengthIn,
      'in'
    )
  );
  return { decision: 'next-size', because: null, against: [], rivet };
}

const STEPS_PER_IN = { half: 32, sixteenth: 16 } as const;

/**
 * The rivet, or the next longer one, whose metal makes a good head in that hole: what a wider hole and a dimple take is
 * missing from the head, whatever its length is called.
 *
 * @param rivet its part number tells standard and alloy; size and length are its own
 * @returns null where no length within the protrusion allowed does
 */
function headedRivet(
  { head, limits, rules, stacks, gripIn: grip }: ReleasedFacts,
  hole: ReleasedHole,
  rivet: ReplacedRivet
): ReplacedRivet | null {
  const stack = stacks[hole.stack];
  const part = readPartNumber({ text: rivet.partNumber });
  if (!part.ok || rules === null) return null;
  const { standard, alloy } = part.result;
  const gripIn = hole.gripIn ?? grip;
  const { dash, holeIn } = rivet;
  const longestIn = gripIn + rules.multipliers.protrusionMaxD * rivetSize(dash).diameterIn;
  for (
    let lengthIn = rivet.lengthIn;
    below(lengthIn, longestIn);
    lengthIn += 1 / STEPS_PER_IN[rules.increments]
  ) {
    const predicted = predictHead(
      { dash, head, gripIn, lengthIn, holeIn, limits, dimpled: stack?.dimpledThrough ?? false },
      { volumeIn3: stack?.wideIn3 ?? 0, work: [] }
    );
    if (predicted.ok && predicted.result.heightBandD !== null)
      return {
        dash,
        lengthIn,
        holeIn,
        partNumber: writePartNumber(standard, head, alloy, dash, lengthIn * 16)
      };
  }
  return null;
}

const nextDash = (dash: Dash): Dash | null =>
  dash === 3 ? 4 : dash === 4 ? 5 : dash === 5 ? 6 : dash === 6 ? 8 : null;

/** A hole this much over its drill no longer keeps its size (rework). */
const JUST_OVER_IN = 0.0031;
