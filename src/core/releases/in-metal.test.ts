import { reworkOf } from '../../../tests/support/rework-state';
import { describe, expect, it } from 'vitest';
import { NO_REWORK, type HoleRework, type ReworkState } from '../reworking/rework-state';
import { inMetal } from './in-metal';

const at = (number: number, xIn: number) => ({
  number,
  row: 1,
  xIn,
  yIn: 0.3,
  markIn: xIn,
  stack: 0,
  dash: 3 as const,
  gripIn: 0.064,
  room: null
});
const release = { holes: [at(1, 0.3), at(2, 0.7), at(3, 1.1)], heldOpen: [] };
const worked = (hole: number, changes: Partial<HoleRework>): HoleRework =>
  reworkOf(hole, { stage: 'ready', outAt: 1, readyAt: 2, ...changes });
const LARGER = { dash: 4 as const, partNumber: 'MS20426AD4-4', lengthIn: 0.25, holeIn: 0.1302 };
const state = (...holes: HoleRework[]): ReworkState => ({
  ...NO_REWORK,
  holes: new Map(holes.map((one) => [one.hole, one]))
});
/** a row laid out anew: one hole more at its beginning, numbers moved on */
const planned = [at(1, 0.1), at(2, 0.3), at(3, 0.7), at(4, 1.1)];

describe('what is in the metal', () => {
  it('is as planned where nothing was reworked', () => {
    expect(inMetal(planned, release, NO_REWORK, null)).toEqual([]);
    // the same rivet in the same hole again
    expect(inMetal(planned, release, state(worked(2, {})), null)).toEqual([]);
  });

  it('is found by its place, whatever its number is now', () => {
    expect(inMetal(planned, release, state(worked(2, { rivet: LARGER })), null)).toEqual([
      { hole: 3, partNumber: 'MS20426AD4-4', fastener: null, holeIn: 0.1302 }
    ]);
  });

  it('has a blind fastener with its own hole', () => {
    const blind = { fastener: 'blind pull-stem, engineer’s note 4', drillIn: 0.1285, gripIn: 0.07 };
    expect(inMetal(planned, release, state(worked(3, { stage: 'blind', blind })), null)).toEqual([
      { hole: 4, partNumber: null, fastener: blind.fastener, holeIn: 0.1285 }
    ]);
  });

  it('was taken over from the release before, until it is reworked again', () => {
    const since = {
      issue: 'a',
      release: 1,
      carried: [],
      again: [],
      gone: [],
      replaced: [{ hole: 1, rivet: LARGER, planned: { partNumber: 'x', holeIn: 0.098 } }],
      blind: [{ hole: 2, fastener: 'blind pull-stem' }],
      changes: []
    };
    expect(inMetal(planned, release, NO_REWORK, since)).toEqual([
      { hole: 2, partNumber: 'MS20426AD4-4', fastener: null, holeIn: 0.1302 },
      { hole: 3, partNumber: null, fastener: 'blind pull-stem', holeIn: null }
    ]);
    const again = { ...LARGER, dash: 5 as const, partNumber: 'MS20426AD5-4', holeIn: 0.161 };
    expect(inMetal(planned, release, state(worked(1, { rivet: again })), since)[0]).toEqual({
      hole: 2,
      partNumber: 'MS20426AD5-4',
      fastener: null,
      holeIn: 0.161
    });
  });

  it('is not told of a place that the plan has no hole at', () => {
    expect(inMetal([at(1, 0.1)], release, state(worked(2, { rivet: LARGER })), null)).toEqual([]);
  });
});
