import { z } from 'zod';
import { BatchTimes, IceboxRule } from '../core/rules/icebox.ts';

/** A batch out of the cold, as pages show it. */
export const ColdBatchView = z.strictObject({
  id: z.uuid(),
  partNumber: z.string(),
  lot: z.string(),
  count: z.int(),
  removedAt: z.string(),
  /** the shop's own times that it was taken out under; null: the guidance's */
  times: BatchTimes.nullable(),
  by: z.string(),
  /** neither driven nor put away */
  left: z.int()
});
export type ColdBatchView = z.output<typeof ColdBatchView>;

/** What is out, and what the server's clock says: every clock on a page runs by it. */
export const ColdView = z.strictObject({
  serverAt: z.string(),
  /** what is taken out now runs by these */
  icebox: IceboxRule,
  batches: z.array(ColdBatchView)
});
export type ColdView = z.output<typeof ColdView>;

/** What a page sends to take rivets out; the server says when. */
export const TakeOut = z.strictObject({
  id: z.uuid(),
  binId: z.uuid(),
  jobId: z.uuid().nullable(),
  count: z.int('rivets are counted whole').min(1, 'Take out at least one rivet').max(100_000)
});
export type TakeOut = z.output<typeof TakeOut>;
