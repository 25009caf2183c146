import type { Release } from '../release/release.ts';
import type { OpenBlind } from '../plan/open-blind.ts';
import type { BlindFinding } from './rework-moves.ts';
import { checksOwnWork } from '../rules/own-work.ts';

/** A look at a blind rivet. */
export interface BlindLook {
  by: string;
  person: string | undefined;
  at: string;
  /** nothing: it is good */
  found: readonly BlindFinding[];
  note: string;
}

/** A blind rivet as it was put in a hole. */
export interface BlindIn {
  hole: number;
  lot: string;
  by: string;
  person: string | undefined;
  at: string;
  looks: readonly BlindLook[];
}

/** Where a hole that takes a blind rivet stands; the worst look at what is in it governs. */
export type BlindStanding = 'not-in' | 'not-inspected' | 'good' | 'bad';

/** A look by whoever put it in makes it good only where the shop's rule lets them. */
export function blindStanding(
  now: BlindIn | undefined,
  { rules }: Release['facts']
): BlindStanding {
  if (!now) return 'not-in';
  if (now.looks.some(({ found }) => found.length > 0)) return 'bad';
  const putBy = now.person === undefined ? [] : [now.person];
  return now.looks.some(({ person }) => !checksOwnWork(rules, putBy, person))
    ? 'good'
    : 'not-inspected';
}

/** A blind rivet with where it stands, as a record keeps it. */
export const blindOnRecord = (
  planned: OpenBlind,
  now: BlindIn | undefined,
  facts: Release['facts']
) => ({
  ...planned,
  standing: blindStanding(now, facts),
  lot: now?.lot ?? '',
  putInBy: now?.by ?? null,
  putInAt: now?.at ?? null,
  inspectedBy: [...new Set(now?.looks.map(({ by }) => by))]
});
export type BlindOnRecord = ReturnType<typeof blindOnRecord>;
