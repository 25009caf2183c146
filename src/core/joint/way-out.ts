import type { Family } from '../schema/fields.ts';

/** What a change does, as a code with its quantities; lengths in inches. */
export type WaySaid =
  | { code: 'round-corners'; radiusIn: number }
  | { code: 'insert-edge'; edgeIn: number }
  | { code: 'usual-edge' }
  | { code: 'read-for'; family: Family }
  | { code: 'size'; dash: number; diameterIn: number }
  | { code: 'widen'; widthIn: number }
  | { code: 'rows-chosen' | 'rows-staggered' | 'rows-in-line' | 'lines-along' }
  | { code: 'two-lines'; round: 'cutout' | null }
  | { code: 'rings'; rings: number }
  | { code: 'no-insert' | 'plate-without-insert' | 'attachment-only' }
  | { code: 'universal-heads'; dash: number | null };

/** One change to the fields of a joint that settles something, lengths written as one types them. */
export interface WayOut {
  said: WaySaid;
  change: Record<string, string | number | boolean>;
}
