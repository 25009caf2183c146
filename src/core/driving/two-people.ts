import { z } from 'zod';

export const Role = z.enum(['gun', 'bar']);
export type Role = z.output<typeof Role>;

/** What one says to the other: nothing yet, the bar is on and ready, fire, stop. */
export const Call = z.enum(['idle', 'ready', 'go', 'stop']);
export type Call = z.output<typeof Call>;

/** Heard at least so often while a device is there. */
export const BEAT_S = 1;
/** Silent for longer than this, nobody fires. */
export const SILENT_S = 3;

/** One device's word, said again with every beat. */
export const Word = z.strictObject({
  /** this window, for as long as it is open */
  device: z.uuid(),
  role: Role,
  call: Call,
  /** the rivet that it is about */
  hole: z.int().min(1).nullable(),
  /** rises with every change of the call; an older word never goes over a newer one */
  turn: z.int().min(0)
});
export type Word = z.output<typeof Word>;

/** What was last heard of the other device. */
export interface Heard {
  word: Word;
  /** name of whoever is there */
  by: string;
  person: string;
  /** this device's own clock when it came in, milliseconds */
  atMs: number;
}

/** What two people may do now, as one of their devices sees it. */
export interface TeamState {
  /** `alone`: nobody was heard; `silent`: not for three seconds; `apart`: they look at different rivets */
  link: 'alone' | 'silent' | 'apart' | 'joined';
  /** seconds since the other was heard; null before that */
  silentS: number | null;
  /** the calls that one may make */
  may: Call[];
  /** the gun may fire now */
  fire: boolean;
}

const linkOf = (mine: Word, other: Heard | null, nowMs: number): TeamState['link'] =>
  other === null
    ? 'alone'
    : nowMs - other.atMs > SILENT_S * 1000
      ? 'silent'
      : mine.hole === other.word.hole
        ? 'joined'
        : 'apart';

/**
 * Where two people stand: ready comes from the bar, go from the gun and only upon ready, stop from either at any time.
 * The gun fires only while both say so of the same rivet and each hears the other.
 *
 * @param mine this device's own word
 * @param other the last that was heard of the other role, whoever stopped being heard counts as silent
 * @param nowMs this device's clock
 * @throws never
 * @source drive: a spoken ready, go, stop each rivet
 */
export function teamState(mine: Word, other: Heard | null, nowMs: number): TeamState {
  const link = linkOf(mine, other, nowMs);
  const silentS = other === null ? null : (nowMs - other.atMs) / 1000;
  // what is said of another rivet, or was said too long ago, is nothing
  const joined = link === 'joined';
  const theirs = joined && other ? other.word.call : 'idle';
  const may: Call[] =
    mine.role === 'bar'
      ? [
          ...(joined && theirs !== 'go' && mine.call !== 'ready' ? (['ready'] as const) : []),
          'stop'
        ]
      : [...(theirs === 'ready' && mine.call !== 'go' ? (['go'] as const) : []), 'stop'];
  const calls = mine.role === 'gun' ? [mine.call, theirs] : [theirs, mine.call];
  return { link, silentS, may, fire: calls[0] === 'go' && calls[1] === 'ready' };
}
