import type { WorkLine } from '../answer.ts';
import { samplingPlan } from '../rules/sampling.ts';
import { DEFAULT_PROFILE, type RuleProfile } from '../rules/profile.ts';
import type { InspectionPlace } from '../rules/inspection.ts';
import { isBad } from './findings.ts';
import { isDrivenSince, verdictNow, type HoleEvent, type HoleState } from './hole-events.ts';
import { samplingDue, wantedHeads, type SamplingDueInput } from './sampling-due.ts';

/** What a release is looked at by: its holes in the order driven, what was logged, what was seen. */
export interface HeadsToLookAt {
  /** as planned to be driven */
  order: readonly number[];
  /** when each rivet was last hit, ms since 1970 */
  hitAt: ReadonlyMap<number, number>;
  /**
   * Whether anybody logs driving. Where nobody does every rivet counts as driven, and one goes along the rows, since nobody
   * knows in which order they were.
   */
  logged: boolean;
  events: readonly HoleEvent[];
  states: ReadonlyMap<number, HoleState>;
  /** heads that stay as they are on the data holder’s word */
  left: ReadonlySet<number>;
  /** holes whose rivet is out: there is no head to look at */
  empty: ReadonlySet<number>;
  /** null in releases that do not hold their rules: every head */
  rules: RuleProfile | null;
}

const NOTHING_WANTED: ReturnType<typeof wantedHeads> = { wanted: [], near: new Set() };

/**
 * What a hole's looks tell the sampling, bad ones first: every bad one, and that it is good once its inspection is complete. A
 * head that is good as far as it was looked at tells nothing yet.
 *
 * @source calculation `sampling-due`: only what is bad or complete is in `checked`
 */
function toldOf(state: HoleState): { hole: number; good: boolean }[] {
  const { hole, valid, standing, expired } = state;
  const bad = valid.filter(({ frozen }) => isBad(frozen.verdict));
  const complete = standing?.verdict === 'accept';
  return [
    ...bad.map(() => ({ hole, good: false })),
    ...(complete ? [{ hole, good: !expired }] : [])
  ];
}

/** Why a head comes next. */
export type NextReason =
  'again-replaced' | 'again-driven' | 'again-logged' | 'again-measure' | 'near-a-bad-one' | 'plan';

export interface NextHead {
  /** null where nothing is due */
  next: number | null;
  reason: NextReason | null;
  /** the bad head that a neighbor is looked at for */
  near: number | null;
  /** where it still has to be looked at; empty where nobody has looked at it as it is */
  missing: readonly InspectionPlace[];
  /** every head that is due, what must be looked at again first */
  due: number[];
  required: number;
  looked: number;
  /** heads that are bad as they stand */
  open: number[];
  /** in which they are gone through */
  order: readonly number[];
  work: readonly WorkLine[];
}

/**
 * Which head is looked at next: what was replaced, driven more or could not be told first, then what the shop's sampling asks
 * for.
 *
 * @source inspect; calculation `sampling-due`
 */
export function nextHead(of: HeadsToLookAt): NextHead {
  const { hitAt, logged, events, states, left, empty, rules } = of;
  const order = logged ? of.order : [...of.order].sort((a, b) => a - b);
  const seen = new Set(events.map(({ hole }) => hole));
  const isExpired = (hole: number) => states.get(hole)?.expired ?? false;
  const isDriven = (hole: number) => !logged || hitAt.has(hole) || seen.has(hole);
  const profile = rules ?? DEFAULT_PROFILE;
  const told = order.flatMap((hole) => {
    const state = states.get(hole);
    return state ? toldOf(state) : [];
  });
  const asked: SamplingDueInput = {
    order: [...order],
    plan: samplingPlan(profile),
    tighten: profile.tighten,
    checked: told,
    driven: order.filter(isDriven)
  };
  const due = order.length === 0 ? null : samplingDue(asked);
  const { wanted, near } = due?.ok ? wantedHeads(asked) : NOTHING_WANTED;
  const again: { hole: number; reason: NextReason }[] = [];
  for (const hole of order) {
    const state = states.get(hole);
    if (!state || state.looks === 0 || left.has(hole) || empty.has(hole)) continue;
    if (state.last === null) {
      // another rivet is in since, or all that was said of this one was false
      if (!state.lookedBefore) again.push({ hole, reason: 'again-measure' });
      else if (!logged || hitAt.has(hole)) again.push({ hole, reason: 'again-replaced' });
    } else if (isDrivenSince(state))
      again.push({ hole, reason: state.loggedAfter ? 'again-logged' : 'again-driven' });
    else if (state.standing?.verdict === 'measure') again.push({ hole, reason: 'again-measure' });
  }
  const seenNow = (hole: number) => (states.get(hole)?.standing ?? null) !== null;
  const first = again[0];
  const againHoles = new Set(again.map(({ hole }) => hole));
  const open = order.filter((hole) => {
    const state = states.get(hole);
    const verdict = state ? verdictNow(state) : null;
    return (
      verdict !== null &&
      isBad(verdict) &&
      !left.has(hole) &&
      // what is looked at again may yet be good; metal that was too hard never
      (isExpired(hole) || !againHoles.has(hole))
    );
  });
  // there is no head in an empty hole
  const sampled = (due?.ok ? due.result.due : []).filter((hole) => !empty.has(hole));
  // one that nobody has looked at as it is comes before one with places left: those are often done from the other side, later
  const fresh = sampled.filter((hole) => !seenNow(hole));
  const beside = (holes: readonly number[]) => holes.find((hole) => near.has(hole));
  const next = first?.hole ?? beside(fresh) ?? fresh[0] ?? beside(sampled) ?? sampled[0] ?? null;
  const reason =
    first?.reason ?? (next === null ? null : near.has(next) ? 'near-a-bad-one' : 'plan');
  const dueNow = [...againHoles, ...sampled.filter((hole) => !againHoles.has(hole))];
  const isDue = new Set(dueNow);
  return {
    next,
    reason,
    near: reason === 'near-a-bad-one' && next !== null ? nearestBad(order, next, told) : null,
    missing: (next === null ? null : states.get(next)?.standing)?.missing ?? [],
    due: dueNow,
    required: wanted.length,
    // one that is due again was not looked at as it is
    looked: wanted.filter((hole) => seenNow(hole) && !isDue.has(hole) && !empty.has(hole)).length,
    open,
    order,
    work: due?.ok ? due.work : []
  };
}

/**
 * The head to go on to from one just looked at: what is urgent first, else the next that is due further along, and round.
 *
 * @returns null where nothing else is due
 */
export function headAfter(
  { next, reason, due }: Pick<NextHead, 'next' | 'reason' | 'due'>,
  order: readonly number[],
  here: number,
  free: (hole: number) => boolean
): number | null {
  if (next !== null && reason !== 'plan' && next !== here && free(next)) return next;
  const placeOf = new Map(order.map((hole, place) => [hole, place]));
  const at = placeOf.get(here) ?? -1;
  const open = due.filter((hole) => hole !== here && free(hole));
  return open.find((hole) => (placeOf.get(hole) ?? -1) > at) ?? open[0] ?? null;
}

function nearestBad(
  order: readonly number[],
  hole: number,
  told: readonly { hole: number; good: boolean }[]
): number | null {
  const at = order.indexOf(hole);
  let nearest: { hole: number; away: number } | null = null;
  for (const { hole: bad, good } of told) {
    if (good) continue;
    const away = Math.abs(order.indexOf(bad) - at);
    if (nearest === null || away < nearest.away) nearest = { hole: bad, away };
  }
  return nearest?.hole ?? null;
}
