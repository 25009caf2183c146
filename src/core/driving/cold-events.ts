import { z } from 'zod';
import { answer, notPossible } from '../answer.ts';
import { defineStream, MOVE_STAMP, type Recorded } from '../events/stream.ts';

/** What becomes of rivets that were not driven in time: re-cooling is the shop's process, and never assumed. */
export const Leftover = z.enum(['scrapped', 'to-process']);
export type Leftover = z.output<typeof Leftover>;

export const ColdMove = z.strictObject({
  ...MOVE_STAMP,
  kind: z.literal('left-over'),
  count: z.int('rivets are counted whole').min(1, 'count at least 1').max(100_000),
  how: Leftover,
  note: z.string().trim().max(120, 'a note is at most 120 characters')
});
/** What a page sends when the rest of a batch is put away. */
export type ColdMove = z.output<typeof ColdMove>;
export type ColdEvent = Recorded<ColdMove, null>;

/** A batch as what is left of it is counted against. */
export interface OpenBatch {
  count: number;
  /** holes that got a rivet of it */
  driven: number;
}

/** The rest of a batch out of the cold; its state is how many were put away. */
export const coldStream = defineStream<OpenBatch, ColdMove, null, number>({
  name: 'cold',
  Move: ColdMove,
  Frozen: z.null(),
  follow({ count, driven }, away, move) {
    const left = count - driven - away;
    return move.count > left
      ? notPossible('count', { code: 'not-so-many-out', count: move.count, left })
      : answer(null, []);
  },
  project: (_, events, from = 0) => events.reduce((sum, { count }) => sum + count, from)
});
