import { notPossible, workLine, type Answer } from '../answer.ts';
import { drillIn } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { IssuedFacts, IssuedHole } from '../issue/issue.ts';
import { by, len } from '../notation.ts';
import { oversize } from '../rework/oversize.ts';
import type { Dash } from '../schema/fields.ts';
import { partNumber as readPartNumber, writePartNumber } from '../stack/part-number.ts';
import { predictHead } from '../stack/predict-head.ts';
import { stockedLength } from '../stack/rivet-length.ts';
import { above, below, isUnder } from '../units/tolerance.ts';
import { issuedRivet, type ReplacedRivet } from './replaced-rivet.ts';
import type { SeenInHole } from './rework-moves.ts';

/** A hole whose rivet came out so often is for the people who own the data (handbook 4.7). */
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
 * @returns `not-possible` where the issue does not say what the hole stands among
 * @source handbook 4.7; contract `oversize`, with rows, alloy and the cut held too
 */
export function decideHole(
  facts: IssuedFacts,
  hole: IssuedHole,
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
  const decided = oversize(
    {
      dash,
      head,
      holeIn: widestIn,
      edgeIn: room.edgeIn,
      pitchesIn: room.pitchIn === null ? [] : [room.pitchIn],
      sheetsIn: room.sheetsIn,
      increments: rules.increments,
      school: rules.drill
    },
    rules.multipliers
  );
  if (!decided.ok) return decided;
  const work = [...decided.work];
  const say = (
    decision: HoleDecision['decision'],
    rest: Partial<HoleDecision> = {}
  ): Answer<HoleDecision> => ({
    ok: true,
    result: { decision, because: null, against: [], rivet: null, ...rest },
    work
  });
  work.push(
    workLine('rivets taken out of it', `at ${OUTS_BEFORE_REFERRAL} it is referred`, outs, 'times')
  );
  if (outs >= OUTS_BEFORE_REFERRAL) return say('refer', { because: 'third-time' });
  const grave = seen[0];
  if (grave !== undefined) return say('refer', { because: grave });

  const own = issuedRivet(facts, hole);
  const cutDeep = head === 'countersunk' && tooDeepIn !== null && above(tooDeepIn, 0);
  if (decided.result.decision === 'keep' && !cutDeep) {
    const holeIn = Math.max(own.holeIn, widestIn);
    const same = headedRivet(facts, hole, { ...own, dash, holeIn });
    if (!same) return say('refer', { against: ['length'] });
    const { nominalHoleIn, drill: drills } = rivetSize(dash);
    const drill = drills[rules.drill];
    return isUnder(widestIn, nominalHoleIn)
      ? say('keep', { rivet: same, tooSmall: { drill, drillIn: drillIn(drill) } })
      : say('keep', { rivet: same });
  }

  // a cut that is too deep asks for the next size even where the hole itself would do
  const grown =
    cutDeep && decided.result.decision === 'keep' ? nextOnly(facts, hole, widestIn) : decided;
  if (!grown.ok) return grown;
  const against: AgainstSize[] = [...grown.result.fails];
  const next = nextDash(dash);
  if (next === null)
    return say('refer', { against: against.length > 0 ? against : ['no-larger-size'] });
  const bigger = rivetSize(next);
  const leastIn = rules.multipliers.transverseMinD * bigger.diameterIn;
  if (room.betweenRowsIn !== null) {
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
  if (cutDeep) {
    const deeperIn = bigger.head.countersunk.heightIn - rivetSize(dash).head.countersunk.heightIn;
    work.push(
      workLine('its head is deeper by', by`the cut lies ${len(tooDeepIn)} too deep`, deeperIn, 'in')
    );
    if (above(tooDeepIn, deeperIn)) against.push('cut-too-deep');
  }
  const gripIn = hole.gripIn ?? facts.gripIn;
  const stocked = stockedLength(gripIn, {
    dash: next,
    increments: rules.increments,
    lean: rules.lean
  });
  if (against.length > 0 || !stocked.ok) return say('refer', { against });
  const rivet = headedRivet(facts, hole, {
    dash: next,
    partNumber: own.partNumber,
    lengthIn: stocked.lengthIn,
    holeIn: drillIn(bigger.drill[rules.drill])
  });
  if (!rivet) return say('refer', { against: ['length'] });
  work.push(
    workLine(
      'its length',
      by`for a grip of ${len(gripIn)}, near ${len(stocked.idealIn)}`,
      rivet.lengthIn,
      'in'
    )
  );
  return say('next-size', { rivet });
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
  { head, limits, rules, stacks, gripIn: grip }: IssuedFacts,
  hole: IssuedHole,
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

/** The next size asked for by the cut: held against everything but a hole that would still keep its size. */
function nextOnly({ rules, head }: IssuedFacts, { room, dash }: IssuedHole, widestIn: number) {
  if (rules === null || room === null) throw new Error('asked only where both are frozen');
  const keepsIn = drillIn(rivetSize(dash).drill[rules.drill]);
  return oversize(
    {
      dash,
      head,
      // the least hole that is over its own size
      holeIn: Math.max(widestIn, keepsIn + JUST_OVER_IN),
      edgeIn: room.edgeIn,
      pitchesIn: room.pitchIn === null ? [] : [room.pitchIn],
      sheetsIn: room.sheetsIn,
      increments: rules.increments,
      school: rules.drill
    },
    rules.multipliers
  );
}
/** A hole this much over its drill no longer keeps its size (handbook 4.7). */
const JUST_OVER_IN = 0.0031;
