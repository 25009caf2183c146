import type { DriveState } from '$core/driving/drive-events.ts';
import type { RefusalSaid } from '$core/refusal-said.ts';
import type { ReworkState } from '$core/reworking/rework-state.ts';

/** What the desk has to know of the release around its heads. */
export interface AroundHeads {
  rework: ReworkState;
  drive: Pick<DriveState, 'holes' | 'blows'>;
  /** in which its rivets are driven */
  order: readonly number[];
}

/** How it goes with what was handed over. */
export type DeskState =
  { kind: 'idle' } | { kind: 'sending' } | { kind: 'waiting' } | ({ kind: 'refused' } & Refused);

/** A head that was not taken; null where it is not known which. */
export interface Refused {
  hole: number | null;
  said: RefusalSaid;
}
