import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { windowOf, type IceboxWindow } from '../rules/icebox.ts';
import { Alloy } from '../schema/fields.ts';
import { floorTo } from '../units/tolerance.ts';

const instant = (what: string) =>
  z.iso.datetime({
    offset: true,
    error: `${what} is an instant with an offset or Z, such as 2026-05-04T08:00:00Z`
  });

export const ColdBatchInput = z
  .strictObject({
    alloy: Alloy,
    removedAt: instant('removedAt'),
    now: instant('now'),
    perRivetS: z.number('seconds a rivet are expected').positive('a rivet takes more than no time')
  })
  .refine((input) => Date.parse(input.now) >= Date.parse(input.removedAt), {
    path: ['now'],
    message: 'now is before the rivets were taken out'
  });
export type ColdBatchInput = z.output<typeof ColdBatchInput>;

export const ColdBatchResult = z.strictObject({
  dueAt: z.string().nullable(),
  limitAt: z.string().nullable(),
  remainingS: z.number().nullable(),
  state: z.enum(['ok', 'due', 'expired', 'no-limit']),
  canDrive: z.number().int().nullable()
});
export type ColdBatchResult = z.infer<typeof ColdBatchResult>;

const MINUTE_S = 60;
/**
 * How long a batch of refrigerated rivets may still be driven, and how many at one's own pace.
 *
 * @param input instants in ISO 8601 with an offset; seconds a rivet
 * @param times those that the batch was taken out under, minutes; null: the guidance's
 * @returns instants in UTC; `remainingS` to the limit, not below 0; nulls where the alloy has no limit
 * @throws never
 * @source rivets and drive; calculation `cold-batch`
 * @example cold-batch {"alloy":"DD","removedAt":"2026-05-04T08:00:00Z","now":"2026-05-04T08:10:00Z","perRivetS":20} -> {"state":"due","remainingS":600,"canDrive":30}
 */
export function coldBatch(
  { alloy, removedAt, now, perRivetS }: ColdBatchInput,
  times: IceboxWindow | null = null
): Answer<ColdBatchResult> {
  const window = windowOf(alloy, times);
  if (!window)
    return answer(
      { dueAt: null, limitAt: null, remainingS: null, state: 'no-limit', canDrive: null },
      [workLine('window', `alloy ${alloy} is driven as received`, 'no limit')]
    );
  const removedMs = Date.parse(removedAt);
  const nowMs = Date.parse(now);
  const dueMs = removedMs + window.dueMinutes * MINUTE_S * 1000;
  const limitMs = removedMs + window.limitMinutes * MINUTE_S * 1000;
  const remainingS = Math.max(0, (limitMs - nowMs) / 1000);
  const canDrive = floorTo(remainingS / perRivetS);
  const outMinutes = (nowMs - removedMs) / 1000 / MINUTE_S;
  return answer(
    {
      dueAt: new Date(dueMs).toISOString(),
      limitAt: new Date(limitMs).toISOString(),
      remainingS,
      state: nowMs >= limitMs ? 'expired' : nowMs >= dueMs ? 'due' : 'ok',
      canDrive
    },
    [
      workLine('out of the cold', 'now − removed', outMinutes, 'min'),
      workLine(
        'remaining',
        `${window.limitMinutes} min − ${num(outMinutes)} min, not below 0`,
        remainingS,
        's'
      ),
      workLine(
        'can still be driven',
        `⌊${num(remainingS)} / ${num(perRivetS)}⌋`,
        canDrive,
        'rivets'
      )
    ]
  );
}
