import { z } from 'zod';
import { saying } from '../refusal-said.ts';
import { notPossible } from '../answer.ts';
import { defineStream, MOVE_STAMP, type Recorded, type Unstamped } from '../events/stream.ts';
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
  context.addIssue({ code: 'custom', params: saying(read.error.said) });
  return z.NEVER;
});

const common = {
  ...MOVE_STAMP,
  note: z.string().trim().max(120, 'a note is at most 120 characters').default('')
};

/** Which rivets lie in a bin; with lot and place this names it. */
export const BinName = z.strictObject({
  partNumber: StockPart,
  lot: z.string().trim().min(1, 'Lot missing. See the bag.').max(40),
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

/** A movement before its sender has given it an id and an instant. */
export type NewMove = Unstamped<StockMove>;

/** A stored movement of one bin. `counted` sets what is there, the others add and take. */
export type StockEvent = Recorded<StockMove, null>;

/** What a move does to a bin's count: adds, takes, or says what is there (null); lists in the database count by it too. */
export const IN_BIN: Readonly<Record<StockMove['kind'], 1 | -1 | null>> = {
  received: 1,
  issued: -1,
  counted: null
};

/** @returns what is in a bin after its events, in the order in which they happened; never less than nothing */
export const balanceOf = (
  events: readonly Pick<StockEvent, 'kind' | 'count'>[],
  from = 0
): number =>
  events.reduce((held, { kind, count: moved }) => {
    const by = IN_BIN[kind];
    return by === null ? moved : Math.max(0, held + by * moved);
  }, from);

/** A bin as movements are held against it. */
export type Bin = BinName & { cold: boolean };

/** What comes into, goes out of and is counted in one bin; its state is what is there. */
export const stockStream = defineStream<Bin, StockMove, null, number>({
  name: 'stock',
  Move: StockMove,
  Frozen: z.null(),
  follow({ partNumber: part, lot, cold }, held, move) {
    if (move.kind === 'received' && move.cold !== cold)
      return notPossible('cold', { code: 'bin-kept-otherwise', lot, part, cold });
    if (move.kind === 'issued' && move.count > held)
      return notPossible('count', { code: 'not-so-many', count: move.count, held, part, lot });
    return { ok: true, result: null, work: [] };
  },
  project: (_, events, from = 0) => balanceOf(events, from)
});
