import type { DrivingAccess } from '../../src/core/driving/access.ts';

/** A part that nothing stands beside, with no free edge: everything else is added by a test. */
export const OPEN: DrivingAccess = {
  edges: { left: null, right: null, top: null, bottom: null },
  upstands: [],
  headRoomIn: null,
  shopRoomIn: null,
  faceDown: false,
  armsReach: true,
  closedMember: false,
  member: null
};
