import type { DriveMove } from '../src/core/driving/drive-move.ts';
import type { Unstamped } from '../src/core/events/stream.ts';

/** A rivet of no cold batch, driven by one hand, with no look at its head. */
export const plainTap = (hole: number): Unstamped<Extract<DriveMove, { kind: 'driven' }>> => ({
  kind: 'driven',
  hole,
  quick: null,
  batch: null,
  hands: null,
  late: ''
});
