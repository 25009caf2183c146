/** Between the parts of a fingerprint: metal, places, setting. */
export const PART = '|';

/** What a step was ticked off on and is no longer; `unknown` where that was not kept. */
export type ChangedSaid =
  | { what: 'metal' | 'places' | 'setting' | 'unknown' }
  | { what: 'count'; was: number; now: number };

const PARTS = ['metal', 'places', 'setting'] as const;

/** What differs between two fingerprints of one step, or of one hole of it. */
export function changedBetween(was: string, now: string): ChangedSaid[] {
  const [before, after] = [was.split(PART), now.split(PART)];
  if (before.length !== PARTS.length || after.length !== PARTS.length)
    return was === now ? [] : [{ what: 'unknown' }];
  return PARTS.filter((_, at) => before[at] !== after[at]).map((what) => ({ what }));
}
