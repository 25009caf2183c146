import type { LineToFill } from '../../src/core/layout/fill-line.ts';
import { evenly } from '../../src/core/layout/lines.ts';

/** Six holes over 5 in, with nothing in their way. */
export const LINE: LineToFill = {
  alongIn: evenly(0.25, 5.25, 6),
  givenIn: [],
  fixedIn: [],
  closed: [],
  minPitchIn: 0.375,
  maxPitchIn: 1.5,
  endRoomIn: 0.25,
  scale: '1/32',
  divisionsFromIn: null
};
