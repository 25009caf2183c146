import { z } from 'zod';
import { answer, notPossible, type Answer } from '../answer.ts';
import { alloyFacts } from '../catalog/alloys.ts';
import { coldBatch } from '../drive/cold-batch.ts';
import { CLOCK_SLACK_MS } from '../events/clock-slack.ts';
import type { Release } from '../release/release.ts';
import { windowOf, type BatchTimes } from '../rules/icebox.ts';
import { drivenAt, type DriveMove } from './drive-move.ts';
import { rivetOfHole } from './rivet-of-hole.ts';

export const ColdState = z.enum(['ok', 'due', 'expired']);
/** How a batch stood when a rivet of it was driven. */
export type ColdState = z.output<typeof ColdState>;

/** Rivets taken out of the cold together. */
export interface ColdBatchFacts {
  id: string;
  partNumber: string;
  lot: string;
  count: number;
  removedAt: string;
  /** the shop's own times that it was taken out under; null: the guidance's */
  times: BatchTimes | null;
}

const MINUTE_MS = 60_000;
const later = (at: string, than: string | undefined): boolean =>
  than === undefined || Date.parse(at) >= Date.parse(than);

/** How a batch stood when a rivet of it was driven; null where the alloy is driven as received. */
export function coldOf(
  { facts, batches }: Pick<Release, 'facts'> & { batches: readonly ColdBatchFacts[] },
  asReleased: Release['holes'][number],
  move: Extract<DriveMove, { kind: 'driven' }>
): Answer<ColdState | null> {
  const { alloy, partNumber } = rivetOfHole(facts, asReleased);
  if (facts.practice)
    return move.batch === null
      ? answer(null, [])
      : notPossible('batch', { code: 'practice-from-stock' });
  if (!alloyFacts(alloy).cold) return answer(null, []);
  const batch = batches.find(({ id }) => id === move.batch);
  if (!batch) return notPossible('batch', { code: 'no-batch', hole: move.hole, part: partNumber });
  if (batch.partNumber !== partNumber)
    return notPossible('batch', {
      code: 'batch-of-another',
      hole: move.hole,
      part: partNumber,
      batch: batch.partNumber
    });
  const { removedAt, lot, times } = batch;
  const beforeMs = Date.parse(removedAt) - Date.parse(drivenAt(move));
  // how long they were out cannot be told: one of the two clocks was wrong, or was set back since
  if (beforeMs > CLOCK_SLACK_MS)
    return move.late === ''
      ? notPossible('at', {
          code: 'before-its-batch',
          hole: move.hole,
          lot,
          beforeMin: Math.round(beforeMs / MINUTE_MS)
        })
      : answer('expired', []);
  // what is only stated is not shown: a rivet logged later counts by when it was entered
  // a tap of a slow clock, just before the batch was out, is as at its removal
  const now = later(move.at, removedAt) ? move.at : removedAt;
  const stood = coldBatch({ alloy, removedAt, now, perRivetS: 1 }, times);
  if (!stood.ok) return stood;
  const { state } = stood.result;
  if (state === 'expired' && move.late === '')
    return notPossible('late', {
      code: 'batch-expired',
      hole: move.hole,
      lot,
      limitMin: windowOf(alloy, times)?.limitMinutes ?? 0
    });
  return answer(state === 'no-limit' ? null : state, []);
}
