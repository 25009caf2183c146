import type { Dash } from '../schema/fields.ts';

/** What a public part number of a blind rivet says. */
export interface BlindPart {
  dash: Dash;
  head: 'protruding' | 'countersunk';
  /** the drill that its hole is made with; null where the standard's is not known here */
  drill: string | null;
  /** over `overIn` up to `mostIn`, in; null where the number does not say it */
  grip: { overIn: number; mostIn: number } | null;
}

const STANDARDS: Record<string, { head: BlindPart['head']; saysGrip: boolean }> = {
  MS20600: { head: 'protruding', saysGrip: false },
  MS20601: { head: 'countersunk', saysGrip: false },
  NAS1398: { head: 'protruding', saysGrip: true },
  NAS1399: { head: 'countersunk', saysGrip: true }
};
const DRILLS: Partial<Record<Dash, string>> = { 4: '#30', 5: '#20', 6: '#10' };
const GRIP_STEP_IN = 1 / 16;

/**
 * A blind rivet by its public part number: its diameter in 32nds, and where the standard says it, its largest grip in sixteenths.
 *
 * @returns null where it is none of those: then its drill and grip are its maker's
 * @source blind-rivets
 */
export function readBlindPart(text: string): BlindPart | null {
  const read =
    /^(MS20600|MS20601|NAS1398|NAS1399)[A-Z]{0,3}-?([3-8])(?:[A-Z]{0,2}-?(\d{1,2}))?/.exec(
      text.trim().toUpperCase().replace(/\s+/g, '')
    );
  const standard = STANDARDS[read?.[1] ?? ''];
  if (!read || !standard) return null;
  const dash = Number(read[2]) as Dash;
  const sixteenths = Number(read[3] ?? 0);
  return {
    dash,
    head: standard.head,
    drill: DRILLS[dash] ?? null,
    grip:
      standard.saysGrip && sixteenths > 0
        ? { overIn: (sixteenths - 1) * GRIP_STEP_IN, mostIn: sixteenths * GRIP_STEP_IN }
        : null
  };
}
