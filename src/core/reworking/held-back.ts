import type { ReworkState } from './rework-state.ts';

/** Why no rivet goes into a hole now: its rivet is out and nothing is decided, or somebody was asked about it. */
export type HeldBack = 'empty' | 'question';

/** Holes that somebody asked about and nobody answered. */
export const askedHoles = ({ referrals }: Pick<ReworkState, 'referrals'>): Set<number> =>
  new Set([...referrals.values()].flatMap(({ hole, answered }) => (answered ? [] : (hole ?? []))));

/** Holes that a lead has decided to ask about instead of replacing what is in them, as long as nobody has answered. */
export const askedInstead = ({ referrals }: Pick<ReworkState, 'referrals'>): Set<number> =>
  new Set(
    [...referrals.values()].flatMap(({ hole, instead, answered }) =>
      instead && !answered ? (hole ?? []) : []
    )
  );

/**
 * The holes that no rivet goes into now, and why; the rest goes on.
 *
 * @source rework: while a question is open its hole is neither driven nor signed
 */
export function heldBack(rework: ReworkState): Map<number, HeldBack> {
  const held = new Map<number, HeldBack>();
  for (const hole of askedHoles(rework)) held.set(hole, 'question');
  for (const [hole, { stage }] of rework.holes) {
    if (stage === 'ask') held.set(hole, 'question');
    if (stage === 'out') held.set(hole, 'empty');
  }
  return held;
}

/**
 * Holes whose rivet was driven while a question about them was open: as it happened, by a device that did not know.
 *
 * @param hitAt when the rivet that is in each hole was hit last, ms since 1970
 */
export function drivenInQuestion(
  { holes, referrals }: ReworkState,
  hitAt: ReadonlyMap<number, number>
): Set<number> {
  const found = new Set<number>();
  for (const [hole, { stage }] of holes) if (stage === 'ask' && hitAt.has(hole)) found.add(hole);
  for (const { hole, at, answered } of referrals.values()) {
    const hit = hole === null ? undefined : hitAt.get(hole);
    if (hole === null || hit === undefined || hit < Date.parse(at)) continue;
    if (answered === null || hit < Date.parse(answered.at)) found.add(hole);
  }
  return found;
}
