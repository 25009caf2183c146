import type { Dash, HeadLimitsName } from '../schema/fields.ts';
import type { DriveState } from './drive-events.ts';
import { seenVerdict } from './head-by-camera.ts';

/** What a camera has seen of the rivets driven so far, in the order of driving. */
export interface CameraLooks {
  driven: number[];
  /** driven and not seen since their last blow */
  unseen: number[];
  /** not plainly within the limits, or a second look was asked for */
  again: number[];
}

/** @param dashOf the rivet size of a hole */
export function cameraLooks(
  { holes, seen }: Pick<DriveState, 'holes' | 'seen'>,
  order: readonly number[],
  limits: HeadLimitsName,
  dashOf: (hole: number) => Dash
): CameraLooks {
  const driven = order.filter((number) => holes.get(number)?.driven);
  return {
    driven,
    unseen: driven.filter((number) => !seen.has(number)),
    again: driven.filter((number) => {
      const head = seen.get(number);
      return (
        holes.get(number)?.quick === 'again' ||
        (head !== undefined && seenVerdict(dashOf(number), limits, head) !== 'within')
      );
    })
  };
}
