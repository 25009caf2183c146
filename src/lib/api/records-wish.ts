import { z } from 'zod';
import { HeadVerdict, MeasuredFinding, SeenFlag } from '../../core/inspect/findings.ts';
import { ILL_FORMED, isWellFormed } from '../../core/schema/well-formed.ts';

const MOST_TEXT = 80;
const text = (what: string) =>
  z
    .string()
    .trim()
    .min(1)
    .max(MOST_TEXT, `${what} is at most ${MOST_TEXT} characters`)
    .refine(isWellFormed, { message: ILL_FORMED });
/** A year nobody's records are from is a slip of the finger; beyond the calendar's own a database has none. */
const [FIRST_YEAR, LAST_YEAR] = [1900, 2200];
const day = z.iso
  .date('a day is written 2031-05-02')
  .refine(
    (value) => Number(value.slice(0, 4)) >= FIRST_YEAR && Number(value.slice(0, 4)) <= LAST_YEAR,
    `a year is between ${FIRST_YEAR} and ${LAST_YEAR}`
  );

/** What a search asks of rivets; whatever is left out is not asked. */
const ASKED = {
  /** part of a joint's name */
  joint: text('a joint’s name'),
  job: z.uuid('a job is chosen from the list'),
  /** how a part number begins */
  part: text('a part number'),
  lot: text('a lot'),
  batch: z.uuid('a batch is known by its id'),
  setting: z.uuid('a setting is known by its id'),
  person: z.uuid('a person is chosen from the list'),
  /** what that person did; either where left out */
  did: z.enum(['drove', 'looked'], { error: 'a person drove or inspected it' }),
  finding: z.enum([...MeasuredFinding.options, ...SeenFlag.options], {
    error: 'a finding is chosen from the list'
  }),
  verdict: z.enum([...HeadVerdict.options, 'none'], {
    error: 'a result is selected from the list'
  }),
  from: day,
  to: day
};

const SORTS = ['at', 'part', 'diameter', 'height'] as const;
export type RivetSort = (typeof SORTS)[number];

/** Where a page begins: the key of the row before it, in either direction. */
const PageMark = z
  .string()
  .regex(/^[\w\-.:, ]{1,200}$/, 'this page mark is none of ours')
  .transform((mark) => mark.split(','));

const RivetWish = z
  .object(ASKED)
  .partial()
  .extend({
    sort: z.enum(SORTS, { error: 'heads are sorted by time, part, diameter or height' }).optional(),
    way: z.enum(['up', 'down'], { error: 'a sort goes up or down' }).optional(),
    after: PageMark.optional(),
    before: PageMark.optional()
  });
/** A search for rivets on record. */
export type RivetWish = z.output<typeof RivetWish>;

/** Reads a search as it stands in an address; what cannot be read is said and not asked. */
export function readWish(params: URLSearchParams): { wish: RivetWish; problems: string[] } {
  const typed: Record<string, string> = {};
  for (const key of Object.keys(RivetWish.shape)) {
    const value = params.get(key)?.trim() ?? '';
    if (value !== '') typed[key] = value;
  }
  const read = RivetWish.safeParse(typed);
  if (read.success) return { wish: read.data, problems: [] };
  const wrong = new Map<string, string>();
  for (const { path, message } of read.error.issues) {
    const field = String(path[0]);
    if (!wrong.has(field)) wrong.set(field, message);
  }
  const rest = RivetWish.safeParse(
    Object.fromEntries(Object.entries(typed).filter(([key]) => !wrong.has(key)))
  );
  return { wish: rest.success ? rest.data : {}, problems: [...wrong.values()] };
}
