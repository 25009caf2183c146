import type { Release, ReleasedHole } from '../release/release.ts';
import type { HoleDecision } from './decide-hole.ts';
import type { HoleReading } from './hole-readings.ts';
import type { ReplacedRivet } from './replaced-rivet.ts';
import type { BlindIn } from './blind-rivets.ts';
import type { Blind, ReworkMove, ReworkStep } from './rework-moves.ts';

/** Where the rework of one hole stands. */
export interface HoleRework {
  hole: number;
  /** how often a rivet was taken out */
  outs: number;
  /** `out`: not measured yet; `ask`: to be referred, or not answered; `ready`: to be driven; `blind`, `left`: settled by an answer */
  stage: 'out' | 'ask' | 'ready' | 'blind' | 'left';
  /** of the last removal, ms since 1970; null where none ever was */
  outAt: number | null;
  /** since when what is in `rivet` goes in, ms since 1970 */
  readyAt: number | null;
  decision: HoleDecision | null;
  /** the hole as it was measured, in; null until then */
  widestIn: number | null;
  rivet: ReplacedRivet | null;
  blind: Blind | null;
  /** every measuring since the last removal */
  readings: readonly HoleReading[];
  /** what is done at it before the rivet that goes in now */
  toDo: readonly ReworkStep[];
  /** what was ticked off at it since it was decided what goes in */
  steps: readonly ReworkStep[];
  /** when it was answered that its head stays, ms since 1970: what is found later is another matter */
  leftAt: number | null;
  /** how it stood before the last removal */
  before: HoleRework | null;
}

/** A question with its answer. */
export interface Referral {
  id: string;
  hole: number | null;
  question: string;
  /** a lead decided to ask instead of replacing the rivet */
  instead: boolean;
  by: string;
  at: string;
  answered: (Extract<ReworkMove, { kind: 'answered' }> & { by: string }) | null;
}

export interface ReworkState {
  holes: ReadonlyMap<number, HoleRework>;
  referrals: ReadonlyMap<string, Referral>;
  /** looks at heads that were false, by their ids: they count no more, and stay on record */
  voidedLooks: ReadonlyMap<string, VoidedLook>;
  /** blind rivets that are in, by their holes */
  blinds: ReadonlyMap<number, BlindIn>;
}
/** Why a look at a head counts no more. */
export interface VoidedLook {
  hole: number;
  why: string;
  by: string;
  at: string;
}
export const NO_REWORK: ReworkState = {
  holes: new Map(),
  referrals: new Map(),
  voidedLooks: new Map(),
  blinds: new Map()
};

/**
 * Since when taps and looks are of the rivet that is in a hole now, ms since 1970, for holes that one was taken out of; never
 * (Infinity) while the hole is empty or waits for a decision.
 */
export const sinceOf = ({ holes }: ReworkState): Map<number, number> =>
  new Map(
    [...holes].flatMap(([hole, { outAt, readyAt }]) =>
      outAt === null ? [] : [[hole, readyAt ?? Infinity] as const]
    )
  );

/** What was in a hole, or was to go in, at an instant; null while it was as released. */
function versionAt(now: HoleRework, atMs: number): HoleRework | null {
  const { readyAt, rivet, blind, before } = now;
  if (readyAt !== null && readyAt <= atMs) return rivet !== null || blind !== null ? now : null;
  return before && versionAt(before, atMs);
}

/** What of a release rework is read on. */
export type Layout = Pick<Release, 'facts' | 'holes' | 'heldOpen'>;

/**
 * A release with what rework has made of it: another size, length or hole where a rivet was replaced, and no rivet where a
 * blind fastener went in. Everything that reads a release (order, batches, verdicts, bills) reads this.
 *
 * @param atMs as it was at an instant; the present where left out
 */
export function asReworked<I extends Layout>(
  release: I,
  { holes: reworked }: ReworkState,
  atMs = Infinity
): I {
  const changed = [...reworked.values()].flatMap((now) => versionAt(now, atMs) ?? []);
  if (changed.length === 0) return release;
  const stacks = [...stacksOf(release)];
  const heldOpen = [...release.heldOpen];
  const byHole = new Map(changed.map((one) => [one.hole, one]));
  const holes = release.holes.flatMap((hole): ReleasedHole[] => {
    const now = byHole.get(hole.number);
    if (!now) return [hole];
    if (now.blind) {
      const { fastener, drillIn, gripIn } = now.blind;
      const blind = { fastener, drillIn, grip: { leastIn: 0, mostIn: gripIn, over: false } };
      heldOpen.push({ ...hole, reason: fastener, blind });
      return [];
    }
    const { rivet } = now;
    const was = stacks[hole.stack];
    if (!rivet || !was) return [hole];
    stacks.push({ ...was, ...rivet });
    return [{ ...hole, dash: rivet.dash, stack: stacks.length - 1 }];
  });
  return { ...release, facts: { ...release.facts, stacks }, holes, heldOpen };
}

/** The stacks of a release; of one made when a joint had one, that one. */
function stacksOf({ facts }: Layout): Release['facts']['stacks'] {
  if (facts.stacks.length > 0) return facts.stacks;
  const { dash, partNumber, lengthIn, holeIn } = facts;
  return [
    { name: '', dash, partNumber, lengthIn, holeIn, dimpledThrough: null, raisedIn: 0, wideIn3: 0 }
  ];
}

/**
 * Heads that stay as they are on the data holder’s word, as far as nothing wrong was found of them since.
 *
 * @param lastBadAt when the last look was taken that found something wrong
 */
export const leftAsIs = (
  { holes }: ReworkState,
  lastBadAt: (hole: number) => string | null
): Set<number> =>
  new Set(
    [...holes.values()].flatMap(({ hole, stage, leftAt }) => {
      const at = lastBadAt(hole);
      const answered = at === null || Date.parse(at) <= (leftAt ?? -Infinity);
      return stage === 'left' && answered ? [hole] : [];
    })
  );

/** Holes whose rivet is out, measured or not, with none decided yet. */
export const emptyHoles = ({ holes }: ReworkState): Set<number> =>
  new Set(
    [...holes.values()].flatMap(({ hole, stage }) =>
      stage === 'out' || stage === 'ask' ? [hole] : []
    )
  );

/** Whether a hole stood empty, and not yet ready for a rivet, at an instant. */
export function emptyAt({ holes }: ReworkState, hole: number, atMs: number): boolean {
  const now = holes.get(hole);
  if (!now || now.outAt === null || now.outAt >= atMs) return false;
  return now.readyAt === null || now.readyAt > atMs;
}

/** A hole as it was before its rivet came out last, with the facts it is read by; undefined where it is none of the release's. */
export function beforeRemoval(
  subject: Layout,
  state: ReworkState,
  number: number
): { facts: Release['facts']; hole: ReleasedHole | undefined } {
  const before = state.holes.get(number)?.before ?? null;
  const holes = before ? new Map([[number, before]]) : new Map<number, HoleRework>();
  const { facts, holes: present } = asReworked(subject, { ...state, holes });
  return { facts, hole: present.find((one) => one.number === number) };
}

/** A hole whose rivet never came out. */
export const FRESH: Omit<HoleRework, 'hole'> = {
  outs: 0,
  stage: 'out',
  outAt: null,
  readyAt: null,
  decision: null,
  widestIn: null,
  rivet: null,
  blind: null,
  readings: [],
  toDo: [],
  steps: [],
  leftAt: null,
  before: null
};
