import { firstBad, isTrusted } from '../trial-setting/standing.ts';
import { above } from '../units/tolerance.ts';
import type { ToolSetup } from './tool-setup.ts';
import { FIRST_TO_BE_GOOD, type MadeOne, type ToolState } from './tool-moves.ts';

/** After so long a setting is looked at again before it is trusted: the next day’s first rivet. */
const LOOK_AFTER_H = 12;
/** Clocks of two devices are no further apart. */
const CLOCKS_APART_H = 0.1;
/** A grip that differs by no more, less than one division of an adjuster, makes no other head: members taper. */
const SAME_GRIP_IN = 0.005;

/** What the setting is about to be used for. */
export interface UseNow {
  /** instant, ISO */
  at: string;
  /** grip of the next rivet, in; null where it is not known */
  gripIn: number | null;
  /** the lot that is driven from; null where it is not known */
  lot: string | null;
  /** when the same tool was last tried for something else, ISO; null: never */
  turnedAt: string | null;
}

export type LookReason =
  | { code: 'day'; hours: number }
  | { code: 'lot'; was: string; now: string }
  | { code: 'grip'; wasIn: number; nowIn: number }
  /** it does not stand any more where it was set */
  | { code: 'turned' }
  /** its last head is dated later than now: nobody can tell how old it is */
  | { code: 'clock' };

/** Whether a tool may go on driving with its setting. */
export type ToolStatus =
  | { state: 'withdrawn' }
  | { state: 'trying' }
  | { state: 'first'; good: number; toGo: number }
  /** one at the setting was not good: it is set anew */
  | { state: 'bad'; which: MadeOne; first: boolean }
  | { state: 'released'; last: MadeOne }
  | { state: 'look'; why: LookReason[]; last: MadeOne | null };

const HOUR_MS = 3_600_000;

/**
 * Where a setting stands: released by its first heads, asked for a look after a day, with another lot, at another grip, and
 * once the tool was set for something else.
 *
 * @throws never
 */
export function toolStatus(setup: ToolSetup, state: ToolState, now: UseNow): ToolStatus {
  if (state.withdrawn) return { state: 'withdrawn' };
  if (!state.found) return { state: 'trying' };
  const bad = firstBad(state);
  if (bad) return { state: 'bad', which: bad.look, first: bad.at < FIRST_TO_BE_GOOD };
  const last = state.looks.at(-1);
  const turned =
    now.turnedAt !== null && Date.parse(now.turnedAt) > Date.parse(last?.at ?? state.found.at)
      ? [{ code: 'turned' as const }]
      : [];
  if (turned.length > 0 && state.looks.length < FIRST_TO_BE_GOOD)
    return { state: 'look', why: turned, last: last ?? null };
  if (!last || state.looks.length < FIRST_TO_BE_GOOD)
    return {
      state: 'first',
      good: state.looks.length,
      toGo: FIRST_TO_BE_GOOD - state.looks.length
    };
  const why: LookReason[] = [...turned];
  const hours = (Date.parse(now.at) - Date.parse(last.at)) / HOUR_MS;
  if (hours >= LOOK_AFTER_H) why.push({ code: 'day', hours });
  else if (hours < -CLOCKS_APART_H) why.push({ code: 'clock' });
  if (now.lot !== null && now.lot !== '' && last.lot !== '' && now.lot !== last.lot)
    why.push({ code: 'lot', was: last.lot, now: now.lot });
  const gripIn = last.gripIn ?? (setup.tool === 'dies' ? null : setup.gripIn);
  if (gripIn !== null && now.gripIn !== null && above(Math.abs(now.gripIn - gripIn), SAME_GRIP_IN))
    why.push({ code: 'grip', wasIn: gripIn, nowIn: now.gripIn });
  return why.length > 0 ? { state: 'look', why, last } : { state: 'released', last };
}

/** Released once, and nothing bad since. */
export const isTrustedTool = (state: ToolState): boolean => isTrusted(state, FIRST_TO_BE_GOOD);
