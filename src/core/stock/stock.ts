import { z } from 'zod';
import { partNumber } from '../stack/part-number.ts';

/** Nobody counts more rivets than this into one bin. */
const MOST_IN_A_BIN = 1_000_000;

const count = (what: string, least: number) =>
  z
    .int(`${what} is a whole number`)
    .min(least, `${what} is at least ${least}`)
    .max(MOST_IN_A_BIN, `${what} is at most ${MOST_IN_A_BIN}`);

/** A part number as typed, kept in its canonical form. */
export const StockPart = z.string().transform((text, context) => {
  const read = partNumber({ text: text.slice(0, 60) });
  if (read.ok) return read.result.canonical;
  context.addIssue({ code: 'custom', message: read.error.message });
  return z.NEVER;
});

const common = {
  id: z.uuid('an event carries an id made by its sender'),
  at: z.iso.datetime({ offset: true }),
  note: z.string().trim().max(120, 'a note is at most 120 characters').default('')
};

/** Which rivets lie in a bin; with lot and place this names it. */
export const BinName = z.strictObject({
  partNumber: StockPart,
  lot: z.string().trim().min(1, 'the lot is missing: it stands on the bag').max(40),
  place: z.string().trim().max(40).default('')
});
export type BinName = z.output<typeof BinName>;

export const StockMove = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('received'),
    ...common,
    ...BinName.shape,
    cold: z.boolean(),
    count: count('what came in', 1)
  }),
  z.strictObject({
    kind: z.literal('issued'),
    ...common,
    binId: z.uuid(),
    jobId: z.uuid().nullable(),
    count: count('what goes out', 1)
  }),
  z.strictObject({
    kind: z.literal('counted'),
    ...common,
    binId: z.uuid(),
    count: count('what is there', 0)
  })
]);
/** What a page sends when rivets came in, went out or were counted. A repeat is stored once by its id. */
export type StockMove = z.output<typeof StockMove>;

type Without<T> = T extends unknown ? Omit<T, 'id' | 'at'> : never;
/** A movement before its sender has given it an id and an instant. */
export type NewMove = Without<StockMove>;

/** A stored movement of one bin. `counted` sets what is there, the others add and take. */
export interface StockEvent {
  id: string;
  kind: StockMove['kind'];
  count: number;
  jobId: string | null;
  note: string;
  at: string;
  by: string;
}

/** @returns what is in a bin after its events, in the order they were recorded */
export const balanceOf = (events: readonly Pick<StockEvent, 'kind' | 'count'>[]): number =>
  events.reduce(
    (held, { kind, count: moved }) =>
      kind === 'counted' ? moved : kind === 'received' ? held + moved : held - moved,
    0
  );

/** Rivets by part number, bins together. */
export function onHandByPart(
  bins: readonly { partNumber: string; count: number }[]
): Record<string, number> {
  const held: Record<string, number> = {};
  for (const bin of bins) held[bin.partNumber] = (held[bin.partNumber] ?? 0) + bin.count;
  return held;
}
