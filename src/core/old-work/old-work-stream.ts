import { z } from 'zod';
import { answer, notPossible, type Answer } from '../answer.ts';
import { defineStream, MOVE_STAMP, type Recorded } from '../events/stream.ts';
import { Around, Disposition, OLD_SIGNS, OldSign } from './signs.ts';

const said = (most: number) => z.string().trim().max(most);
const MOST_HOURS = 1_000_000;
const finding = z.uuid();

export const OldWorkMove = z.discriminatedUnion('kind', [
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('found'),
    sign: OldSign,
    /** where, as one finds it again: an existing hole by its name, a row, a frame */
    where: said(120).min(1, 'location'),
    note: said(400).default(''),
    /** in service so far, h; null where they are not known */
    hours: z.number().min(0).max(MOST_HOURS).nullable().default(null)
  }),
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('looked-around'),
    finding,
    what: Around,
    /** what was seen there; empty: nothing */
    seen: said(200).default('')
  }),
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('disposed'),
    finding,
    disposition: Disposition,
    /** the data, letter or drawing it rests on; asked where it is not what the trade does by itself */
    authority: said(120).default(''),
    note: said(200).default('')
  }),
  /** it was logged by mistake: it counts no more, and stays on record */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('voided'),
    finding,
    why: said(200).min(1, 'reason for voiding')
  })
]);
/** What a page sends of old work: findings of service, what was looked at around them, and what becomes of them. */
export type OldWorkMove = z.output<typeof OldWorkMove>;
export type OldWorkEvent = Recorded<OldWorkMove, null>;

/** One finding of service with what was done about it. */
export interface OldFinding {
  id: string;
  sign: OldSign;
  where: string;
  note: string;
  hours: number | null;
  by: string;
  at: string;
  around: { what: Around; seen: string; by: string; at: string }[];
  /** in the order decided: the last stands */
  dispositions: {
    disposition: Disposition;
    authority: string;
    note: string;
    by: string;
    at: string;
  }[];
  voided: { why: string; by: string } | null;
}
export type OldWorkState = ReadonlyMap<string, OldFinding>;

/** Findings that count. */
export const standingFindings = (state: OldWorkState): OldFinding[] =>
  [...state.values()].filter(({ voided }) => voided === null);

/** What is still to be looked at around a finding. */
export const aroundLeft = ({ sign, around }: OldFinding): Around[] =>
  OLD_SIGNS[sign].around.filter((what) => !around.some((one) => one.what === what));

/** Not all of it looked at around, or nobody has said what becomes of it. */
export const isOpen = (found: OldFinding): boolean =>
  found.dispositions.length === 0 || aroundLeft(found).length > 0;

function mayFollow(state: OldWorkState, move: OldWorkMove): Answer<null> {
  if (move.kind === 'found') return answer(null, []);
  const found = state.get(move.finding);
  if (!found || found.voided || Date.parse(move.at) < Date.parse(found.at))
    return notPossible('finding', { code: 'no-such-finding' });
  return move.kind === 'disposed' &&
    !OLD_SIGNS[found.sign].usual.includes(move.disposition) &&
    move.authority === ''
    ? notPossible('authority', { code: 'disposition-by-data', disposition: move.disposition })
    : answer(null, []);
}

function after(state: OldWorkState, event: OldWorkEvent): OldWorkState {
  const next = new Map(state);
  const { by, at } = event;
  if (event.kind === 'found') {
    const { id, sign, where, note, hours } = event;
    const found = { id, sign, where, note, hours, by, at };
    if (!next.has(id)) next.set(id, { ...found, around: [], dispositions: [], voided: null });
    return next;
  }
  const found = next.get(event.finding);
  if (!found || found.voided) return next;
  switch (event.kind) {
    case 'looked-around': {
      const { what, seen } = event;
      next.set(found.id, { ...found, around: [...found.around, { what, seen, by, at }] });
      break;
    }
    case 'disposed': {
      const { disposition, authority, note } = event;
      const decided = { disposition, authority, note, by, at };
      next.set(found.id, { ...found, dispositions: [...found.dispositions, decided] });
      break;
    }
    case 'voided':
      next.set(found.id, { ...found, voided: { why: event.why, by } });
      break;
  }
  return next;
}

/**
 * Old work on a joint: what was found in service. It is never judged by the limits of new heads, counts for no release, and names
 * no driver.
 */
export const oldWorkStream = defineStream<unknown, OldWorkMove, null, OldWorkState>({
  name: 'old-work',
  Move: OldWorkMove,
  Frozen: z.null(),
  follow: (_, state, move) => mayFollow(state, move),
  project: (_, events, from = new Map()) => events.reduce(after, from)
});
