import { z } from 'zod';
import { notPossible } from '../answer.ts';
import { defineStream, MOVE_STAMP, type Recorded } from '../events/stream.ts';
import { predictedHeadIn3, type Issue, type IssuedFacts, type IssuedHole } from '../issue/issue.ts';
import { readInput } from '../schema/read.ts';
import { drivenHead, DrivenHeadResult } from './driven-head.ts';
import { Look, looksAsked } from './findings.ts';
import { HeadReading, headVolumeIn3 } from './head-report.ts';

/** What a client sends when a head was measured. The id is made by the client, so a repeat is stored once. */
export const CheckedHead = z.strictObject({
  ...MOVE_STAMP,
  kind: z.literal('checked'),
  hole: z.int().min(1),
  diameterIn: HeadReading.shape.diameterIn,
  heightIn: HeadReading.shape.heightIn,
  flags: HeadReading.shape.flags,
  /** what was looked at where the head passes on a condition */
  looked: z.array(Look).max(2).optional()
});
export type CheckedHead = z.output<typeof CheckedHead>;

/** A stored event of one hole: the reading as sent and, frozen with it, the verdict that the server gave. */
export type HoleEvent = Recorded<CheckedHead, DrivenHeadResult>;

/** Where one hole stands now. */
export interface HoleState {
  hole: number;
  last: HoleEvent | null;
  /** how often it has been looked at */
  looks: number;
}

/**
 * Projects the events of an issue onto its holes. The look that was taken last counts: a reading may be sent hours after
 * it was taken, when another hand has looked since; of one instant the one recorded later.
 */
export function holeStates(
  holes: readonly number[],
  events: readonly HoleEvent[],
  from: ReadonlyMap<number, HoleState> = new Map()
): Map<number, HoleState> {
  const states = new Map(
    holes.map((hole): [number, HoleState] => [
      hole,
      from.get(hole) ?? { hole, last: null, looks: 0 }
    ])
  );
  for (const event of events) {
    const state = states.get(event.hole);
    if (!state) continue;
    const later = state.last === null || Date.parse(event.at) >= Date.parse(state.last.at);
    states.set(event.hole, {
      ...state,
      last: later ? event : state.last,
      looks: state.looks + 1
    });
  }
  return states;
}

/** Measured over predicted volume of the latest readings on some holes; those without a prediction are left out. */
export const lastShares = (
  states: ReadonlyMap<number, HoleState>,
  holes: readonly IssuedHole[],
  facts: IssuedFacts
): number[] =>
  holes.flatMap((hole) => {
    const last = states.get(hole.number)?.last;
    const predictedIn3 = last ? predictedHeadIn3(facts, hole) : null;
    return last && predictedIn3 !== null
      ? [headVolumeIn3(last.diameterIn, last.heightIn) / predictedIn3]
      : [];
  });

/** The measured heads of an issue. A verdict rests on the issue's own frozen facts, never on heads before it. */
export const holeStream = defineStream<
  Pick<Issue, 'facts' | 'holes' | 'heldOpen'>,
  CheckedHead,
  DrivenHeadResult,
  Map<number, HoleState>
>({
  name: 'hole',
  Move: CheckedHead,
  Frozen: DrivenHeadResult,
  follow(
    { facts, holes, heldOpen },
    _,
    { hole: number, diameterIn, heightIn, flags, looked = [] }
  ) {
    const open = heldOpen.find((hole) => hole.number === number);
    if (open) return notPossible('hole', { code: 'held-open', hole: number, reason: open.reason });
    const hole = holes.find((one) => one.number === number);
    if (!hole) return notPossible('hole', { code: 'no-such-hole', hole: number });
    const { limits } = facts;
    const reading = readInput(HeadReading, {
      dash: hole.dash,
      limits,
      diameterIn,
      heightIn,
      flags
    });
    if (!reading.ok) return reading;
    const judged = drivenHead(reading.value);
    const asked = judged.ok ? looksAsked(judged.result) : [];
    return asked.every((look) => looked.includes(look))
      ? judged
      : notPossible('looked', { code: 'look-first', hole: number });
  },
  project: ({ holes }, events, from) =>
    holeStates(
      holes.map(({ number }) => number),
      events,
      from
    )
});
