import { z } from 'zod';
import { ShopPlates } from '../devices/shop-plate.ts';
import { DrivingTools, STARTING_TOOLS } from '../drive/driving-tools.ts';
import { RecheckEvery } from './cage/setup.ts';
import { OperationKey } from './operations.ts';

const MOST_HOLDERS = 5000;
const holders = z.int('temporary fasteners are whole numbers').min(0).max(MOST_HOLDERS);

export const ShopFigures = z.strictObject({
  /** seconds for one of an operation, where the shop sets them by hand */
  times: z.partialRecord(
    OperationKey,
    z.number('a time is a number of seconds').positive('a time is more than nothing').max(3600)
  ),
  holders: z.strictObject({
    /** a holder in every so many holes */
    every: z.int('whole holes').min(2, 'at least every second hole').max(50),
    pilot: holders,
    final: holders
  }),
  /** a set cage is looked at again after so many holes */
  recheckEvery: RecheckEvery.default(10),
  /** what it drives rivets with */
  tools: DrivingTools.default(STARTING_TOOLS),
  /** what it holds driven heads against */
  plates: ShopPlates.default([])
});
/** What the shop has and how long it takes. */
export type ShopFigures = z.output<typeof ShopFigures>;

export const STARTING_FIGURES: ShopFigures = {
  times: {},
  holders: { every: 4, pilot: 60, final: 60 },
  recheckEvery: 10,
  tools: STARTING_TOOLS,
  plates: []
};
