import { z } from 'zod';
import { answer, notPossible } from '../answer.ts';
import { alloyFacts } from '../catalog/alloys.ts';
import { defineStream, type Recorded } from '../events/stream.ts';
import type { Release } from '../release/release.ts';
import {
  asReworked,
  emptyAt,
  NO_REWORK,
  sinceOf,
  type ReworkState
} from '../reworking/rework-state.ts';
import type { DrivingAccess } from './access.ts';
import { ColdState, coldOf, type ColdBatchFacts } from './cold-of.ts';
import { drivenAt, DriveMove, HITS, type QuickLook } from './drive-move.ts';
import { namedOnly } from './named-only.ts';
import { statedWrong } from './stated-driving.ts';
import { seenVerdict, type SeenVerdict } from './head-by-camera.ts';
import { rivetOfHole } from './rivet-of-hole.ts';
import type { RivetLot } from './rivet-lots.ts';

export const DriveFrozen = z.strictObject({
  /** what was put into the hole; null where the move is none of a rivet's */
  partNumber: z.string().nullable(),
  /** how its batch stood then */
  cold: ColdState.nullable(),
  /** who was named as holding gun or bar and did not call from a session of their own then; ids */
  unconfirmed: z.array(z.uuid()).optional()
});
export type DriveFrozen = z.output<typeof DriveFrozen>;
export type DriveEvent = Recorded<DriveMove, DriveFrozen>;

/** What driving is held against: a release, and the batches out of the cold. */
export interface DriveSubject extends Pick<Release, 'facts' | 'holes' | 'heldOpen'> {
  batches: readonly ColdBatchFacts[];
  rework?: ReworkState;
  /** when it was released, ms since 1970: nothing of it was driven before; left out where the server says */
  releasedMs?: number;
  /** when whom was heard calling ready or go, ms since 1970; left out where the server says */
  calls?: ReadonlyMap<string, readonly number[]>;
  /** who signed it; null while nobody has */
  signed?: { by: string } | null;
}

export interface HoleDriven {
  driven: boolean;
  /** of the tap that counts */
  at: string;
  /** of the last blow */
  hitAt: string;
  /** of a blow at it that is only stated: it was logged later */
  stated: boolean;
  by: string;
  /** everyone who held a tool at the rivet that is in: whoever logged a blow, gun and bar; ids */
  people: readonly string[];
  quick: QuickLook | null;
  batch: string | null;
  /** its batch had expired: somebody looks at it */
  expired: boolean;
  late: string;
  /** how often it was hit, first time and again */
  times: number;
  /** how it stood before the last hit: what a tap taken back goes back to */
  before: HoleDriven | null;
}

/** A diameter by camera. */
export interface HeadSeen {
  /** of the look */
  id: string;
  diameterIn: number;
  plusMinusIn: number;
  camera: string;
  simulated: boolean;
  at: string;
  by: string;
}

export interface DriveState {
  holes: ReadonlyMap<number, HoleDriven>;
  /** as seen since the last blow; of several looks the gravest */
  seen: ReadonlyMap<number, HeadSeen>;
  order: { school: 'flat' | 'sequence'; order: number[] | null; at: string } | null;
  access: { access: DrivingAccess; at: string; by: string } | null;
  /** by part number: the lot that rivets driven as received come from now */
  lots: ReadonlyMap<string, RivetLot>;
  /** what was not met, by its key, and what was said of it last */
  objections: ReadonlyMap<string, ObjectionAnswer>;
  /** by hole: blows logged and not taken back, at rivets that are out since too */
  blows: ReadonlyMap<number, number>;
}

/** What was said of something that was not met. */
export interface ObjectionAnswer {
  answer: Extract<DriveMove, { kind: 'objected' }>['answer'];
  why: string;
  by: string;
  at: string;
}

export const NOT_DRIVEN: DriveState = {
  holes: new Map(),
  seen: new Map(),
  order: null,
  access: null,
  lots: new Map(),
  objections: new Map(),
  blows: new Map()
};

/** Whether anybody logs driving: then a rivet that is not logged is not driven; else every rivet counts as driven. */
export const isLogged = ({ blows }: Pick<DriveState, 'blows'>): boolean =>
  [...blows.values()].some((count) => count > 0);

const NOTHING: DriveFrozen = { partNumber: null, cold: null };

type HoleMove = Extract<DriveEvent, { kind: 'driven' | 'looked' | 'undriven' }>;

/** Who is meant by a blow: whoever logged it, and gun and bar where two drove. */
const handsOf = (event: HoleMove): string[] =>
  event.kind === 'driven'
    ? [...new Set([event.person ?? [], event.hands?.gun ?? [], event.hands?.bar ?? []].flat())]
    : [];

/** A hole after one thing more that happened at it. */
function holeAfter(last: HoleDriven | undefined, event: HoleMove): HoleDriven {
  const { at, by } = event;
  const was: HoleDriven = last ?? {
    driven: false,
    at,
    hitAt: at,
    stated: false,
    by,
    people: [],
    quick: null,
    batch: null,
    expired: false,
    late: '',
    times: 0,
    before: null
  };
  const people = [...new Set([...was.people, ...handsOf(event)])];
  if (event.kind === 'undriven') {
    // one that was hit before is still in
    if (was.before?.driven) return { ...was.before, at, by };
    return {
      ...was,
      driven: false,
      people: [],
      quick: null,
      batch: null,
      expired: false,
      late: '',
      at,
      hitAt: at,
      stated: false,
      by,
      before: null
    };
  }
  if (event.kind === 'looked') return { ...was, quick: event.quick, at, by };
  return {
    driven: true,
    at,
    hitAt: drivenAt(event),
    stated: event.stated !== undefined || (was.driven && was.stated),
    by,
    people: was.driven ? people : handsOf(event),
    quick: event.quick,
    // more blows on one that is in are from no other batch
    batch: was.driven ? was.batch : event.batch,
    expired: was.expired || event.frozen.cold === 'expired',
    late: event.late === '' ? was.late : event.late,
    times: was.times + HITS[event.kind],
    before: was.driven ? was : null
  };
}

/** Of several looks by camera the gravest stands: one that is surely outside, then one that is surely inside. */
const SURE: Record<SeenVerdict, number> = {
  'measure-again': 0,
  within: 1,
  'too-narrow': 2,
  'too-wide': 2
};

/** A look by camera as far as it is of the head as it is now. */
const seenSinceBlow = (
  hole: HoleDriven | undefined,
  head: HeadSeen | undefined
): HeadSeen | undefined =>
  head && hole?.driven && Date.parse(hole.hitAt) <= Date.parse(head.at) ? head : undefined;

/** Holes whose rivet was driven after its batch had expired. */
export const expiredHoles = ({ holes }: Pick<DriveState, 'holes'>): Set<number> =>
  new Set([...holes].flatMap(([number, { driven, expired }]) => (driven && expired ? number : [])));

/** When each rivet that is in was hit last, ms since 1970. */
export const hitsOf = ({ holes }: Pick<DriveState, 'holes'>): Map<number, number> =>
  new Map(
    [...holes].flatMap(([number, { driven, hitAt }]) =>
      driven ? [[number, Date.parse(hitAt)] as const] : []
    )
  );

/** What the looks at heads have to know of driving. */
export interface DrivenNow {
  expired: ReadonlySet<number>;
  /** when each rivet that is in was hit last, ms since 1970 */
  hitAt: ReadonlyMap<number, number>;
  /** who drove the rivet in each hole, by their ids */
  people: ReadonlyMap<number, readonly string[]>;
  /** holes whose rivet was logged once only: no later blow is known of */
  once: ReadonlySet<number>;
  /** whether anybody logs driving */
  logged: boolean;
}
export const drivenNow = (drive: Pick<DriveState, 'holes' | 'blows'>): DrivenNow => ({
  logged: isLogged(drive),
  expired: expiredHoles(drive),
  hitAt: hitsOf(drive),
  once: new Set(
    [...drive.holes].flatMap(([hole, { driven, before }]) => (driven && !before ? hole : []))
  ),
  people: new Map([...drive.holes].map(([hole, { people }]) => [hole, people]))
});

/** What happens while a release is driven. What may follow rests on the release and its batches alone, never on earlier taps. */
export const driveStream = defineStream<DriveSubject, DriveMove, DriveFrozen, DriveState>({
  name: 'drive',
  Move: DriveMove,
  Frozen: DriveFrozen,
  follow(
    { rework = NO_REWORK, signed = null, calls, releasedMs = -Infinity, ...release },
    _,
    move
  ) {
    if (signed) return notPossible('hole', { code: 'signed', by: signed.by });
    if (move.kind === 'placed' || move.kind === 'objected' || move.kind === 'confirmed')
      return answer(NOTHING, []);
    const atMs = Date.parse(move.at);
    const subject = asReworked(release, rework, atMs);
    const { facts, holes, heldOpen } = subject;
    if (move.kind === 'loaded') {
      const rivet = holes
        .map((hole) => rivetOfHole(facts, hole))
        .find(({ partNumber }) => partNumber === move.part);
      if (!rivet) return notPossible('part', { code: 'part-not-driven', part: move.part });
      return alloyFacts(rivet.alloy).cold
        ? notPossible('lot', { code: 'lot-of-its-batch', part: move.part })
        : answer(NOTHING, []);
    }
    if (move.kind === 'ordered') {
      if (move.order === null) return answer(NOTHING, []);
      const wanted = new Set(holes.map(({ number }) => number));
      const once = new Set(move.order);
      const whole = once.size === move.order.length && once.size === wanted.size;
      const strange = move.order.find((number) => !wanted.has(number)) ?? null;
      return whole && strange === null
        ? answer(NOTHING, [])
        : notPossible('order', { code: 'no-whole-order', holes: wanted.size, strange });
    }
    const open = heldOpen.find(({ number }) => number === move.hole);
    if (open)
      return notPossible('hole', { code: 'held-open', hole: move.hole, reason: open.reason });
    const asReleased = holes.find(({ number }) => number === move.hole);
    if (!asReleased) return notPossible('hole', { code: 'no-such-hole', hole: move.hole });
    if (move.kind !== 'driven') return answer(NOTHING, []);
    const wrong = statedWrong(move, rework, releasedMs);
    if (wrong) return notPossible('stated', wrong);
    if (move.carried) return notPossible('carried', { code: 'carried-by-release' });
    if (emptyAt(rework, move.hole, atMs))
      return notPossible('hole', { code: 'hole-not-ready', hole: move.hole });
    const cold = coldOf(subject, asReleased, move);
    if (!cold.ok) return cold;
    const unconfirmed = calls ? namedOnly(move, calls) : [];
    return answer(
      {
        partNumber: rivetOfHole(facts, asReleased).partNumber,
        cold: cold.result,
        ...(unconfirmed.length > 0 ? { unconfirmed } : {})
      },
      []
    );
  },
  project: (
    { facts, holes: asReleased, heldOpen, rework = NO_REWORK },
    events,
    from = NOT_DRIVEN
  ) => {
    const holes = new Map(from.holes);
    const seen = new Map(from.seen);
    let { order, access } = from;
    const lots = new Map(from.lots);
    const objections = new Map(from.objections);
    const blows = new Map(from.blows);
    const dashes = new Map(
      asReworked({ facts, holes: asReleased, heldOpen }, rework).holes.map(
        (hole) => [hole.number, hole.dash] as const
      )
    );
    const rank = (head: HeadSeen, number: number): number =>
      SURE[seenVerdict(dashes.get(number) ?? facts.dash, facts.limits, head)];
    // a rivet's life begins when it goes in: nothing passes to it from the one that was in before
    const since = sinceOf(rework);
    for (const [number, { hitAt }] of from.holes)
      if (Date.parse(hitAt) < (since.get(number) ?? -Infinity)) holes.delete(number);
    for (const event of events) {
      if (event.kind === 'driven' || event.kind === 'undriven')
        blows.set(event.hole, Math.max(0, (blows.get(event.hole) ?? 0) + HITS[event.kind]));
      if (event.kind === 'ordered') {
        order = { school: event.school, order: event.order, at: event.at };
      } else if (event.kind === 'placed') {
        access = { access: event.access, at: event.at, by: event.by };
      } else if (event.kind === 'objected') {
        const { key, answer, why, by, at } = event;
        objections.set(key, { answer, why, by, at });
      } else if (event.kind === 'loaded') {
        lots.set(event.part, { lot: event.lot, at: event.at, by: event.by });
      } else if (event.kind === 'confirmed') {
        continue;
      } else if (Date.parse(event.at) < (since.get(event.hole) ?? -Infinity)) {
        continue;
      } else if (event.kind === 'seen') {
        // false, on the word of who took it or an inspector
        if (rework.voidedLooks.has(event.id)) continue;
        const { id, hole: number, diameterIn, plusMinusIn, camera, simulated, at, by } = event;
        const head: HeadSeen = { id, diameterIn, plusMinusIn, camera, simulated, at, by };
        const before = seenSinceBlow(holes.get(number), seen.get(number));
        if (!before || rank(head, number) >= rank(before, number)) seen.set(number, head);
      } else holes.set(event.hole, holeAfter(holes.get(event.hole), event));
    }
    // what was seen before the last blow is of another head
    for (const [number, head] of seen)
      if (!seenSinceBlow(holes.get(number), head)) seen.delete(number);
    return { holes, seen, order, access, lots, objections, blows };
  }
});
