import { z } from 'zod';
import { DrivenHeadResult } from './driven-head.ts';
import { HeadReading, headVolumeIn3 } from './head-report.ts';

/** What a client sends when a head was measured. The id is made by the client, so a repeat is stored once. */
export const CheckedHead = z.strictObject({
  id: z.uuid('an event carries an id made by its sender'),
  hole: z.int().min(1),
  at: z.iso.datetime({ offset: true }),
  diameterIn: HeadReading.shape.diameterIn,
  heightIn: HeadReading.shape.heightIn,
  flags: HeadReading.shape.flags
});
export type CheckedHead = z.output<typeof CheckedHead>;

/** A stored event of one hole: the reading as sent and the verdict the server gave it. */
export interface HoleEvent extends CheckedHead {
  kind: 'checked';
  by: string;
  judged: DrivenHeadResult;
}

/** Where one hole stands now. */
export interface HoleState {
  hole: number;
  last: HoleEvent | null;
  /** how often it has been looked at */
  looks: number;
}

/**
 * Projects the events of an issue onto its holes; events are in the order they were recorded, the
 * last one counts.
 */
export function holeStates(
  holes: readonly number[],
  events: readonly HoleEvent[]
): Map<number, HoleState> {
  const states = new Map(
    holes.map((hole): [number, HoleState] => [hole, { hole, last: null, looks: 0 }])
  );
  for (const event of events) {
    const state = states.get(event.hole);
    if (state) states.set(event.hole, { ...state, last: event, looks: state.looks + 1 });
  }
  return states;
}

/** Measured volumes of the latest readings on some holes, in³. */
export const lastVolumesIn3 = (
  states: Map<number, HoleState>,
  holes: readonly number[]
): number[] =>
  holes.flatMap((hole) => {
    const last = states.get(hole)?.last;
    return last ? [headVolumeIn3(last.diameterIn, last.heightIn)] : [];
  });
