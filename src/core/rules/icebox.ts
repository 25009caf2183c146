import { z } from 'zod';
import { alloyFacts } from '../catalog/alloys.ts';
import type { Alloy } from '../schema/fields.ts';

/** Alloys that are driven from the icebox. */
export const ICEBOX_ALLOYS = ['D', 'DD'] as const satisfies readonly Alloy[];
export type IceboxAlloy = (typeof ICEBOX_ALLOYS)[number];

/** From when on they are due out of the icebox, and from when on they are not driven; minutes. */
export interface IceboxWindow {
  dueMinutes: number;
  limitMinutes: number;
}

const minutes = (what: string) =>
  z
    .number(`${what} is a number of minutes`)
    .min(1, `${what} is at least 1 minute`)
    .max(1440, `${what} is at most 1440 minutes, a day`);

const Times = z.strictObject({
  dueMinutes: minutes('the due time'),
  limitMinutes: minutes('the limit'),
  /** the data that they stand in; a shorter time needs none */
  data: z.string().trim().max(120, 'a reference is at most 120 characters')
});
/** A shop's own times. */
export type IceboxTimes = z.output<typeof Times>;

/** What guidance gives for an alloy that is driven from the icebox. */
export function publishedWindow(alloy: IceboxAlloy): IceboxWindow {
  const { cold } = alloyFacts(alloy);
  if (!cold) throw new RangeError(`alloy ${alloy} is driven as received`);
  return cold;
}

/** Whether a shop's own times let rivets be driven later than the guidance does. */
export function isLonger(alloy: IceboxAlloy, { dueMinutes, limitMinutes }: IceboxWindow): boolean {
  const published = publishedWindow(alloy);
  return dueMinutes > published.dueMinutes || limitMinutes > published.limitMinutes;
}

const timesOf = (alloy: IceboxAlloy) =>
  Times.superRefine((times, context) => {
    if (times.dueMinutes > times.limitMinutes)
      context.addIssue({
        code: 'custom',
        path: ['dueMinutes'],
        message: `rivets are due after ${times.dueMinutes} minutes at the latest when they expire, after ${times.limitMinutes}`
      });
    if (isLonger(alloy, times) && times.data === '') {
      const { dueMinutes, limitMinutes } = publishedWindow(alloy);
      context.addIssue({
        code: 'custom',
        path: ['data'],
        message: `longer than the guidance’s ${dueMinutes} and ${limitMinutes} minutes for ${alloy}: name the data that allow it`
      });
    }
  })
    .nullable()
    .default(null);

/** A shop's own icebox times by alloy; null: the guidance's. Shorter ones need no data, longer ones name them. */
export const IceboxRule = z.strictObject({ D: timesOf('D'), DD: timesOf('DD') });
export type IceboxRule = z.output<typeof IceboxRule>;

export const GUIDANCE_TIMES: IceboxRule = { D: null, DD: null };

/** The times that one batch was taken out under, and whose rule they are. */
export const BatchTimes = Times.extend({ rule: z.string() });
export type BatchTimes = z.output<typeof BatchTimes>;

/**
 * The window of a batch out of the icebox: the times it was taken out under, else the guidance's.
 *
 * @returns null for an alloy that is driven as received
 * @throws never
 * @source rivets
 */
export const windowOf = (alloy: Alloy, times: IceboxWindow | null = null): IceboxWindow | null => {
  const { cold } = alloyFacts(alloy);
  return cold && (times ?? cold);
};

/** What a rule gives for an alloy; null: the guidance's, or none. */
export const ruledTimes = (rule: IceboxRule, alloy: Alloy): IceboxTimes | null =>
  alloy === 'D' || alloy === 'DD' ? rule[alloy] : null;
