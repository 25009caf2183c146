import { z } from 'zod';
import type { Recorded, Stamped, Stream } from '../../core/events/stream.ts';
import { endpoint, NOTHING } from './endpoint.ts';

/** No browser sends more at once; it sends the rest after. */
export const MOST_MOVES = 2000;

/** An event as it comes back: with what it happened to. */
export type SentBack<Move, Frozen> = Recorded<Move, Frozen> & { subject: string };

const Around = z.looseObject({
  subject: z.uuid(),
  by: z.string(),
  sentBy: z.string().optional(),
  frozen: z.unknown()
});

/** Reads an event by its stream's own schemas. */
const eventOf = <Move extends Stamped, Frozen>({
  Move,
  Frozen
}: Pick<Stream<never, Move, Frozen, never>, 'Move' | 'Frozen'>) =>
  Around.transform(({ subject, by, sentBy, frozen, ...rest }, context): SentBack<Move, Frozen> => {
    const move = Move.safeParse(rest);
    const found = Frozen.safeParse(frozen);
    if (move.success && found.success) {
      const sent = sentBy === undefined ? {} : { sentBy };
      return { ...move.data, subject, by, ...sent, frozen: found.data };
    }
    context.addIssue({ code: 'custom', message: 'this is no event of its stream' });
    return z.NEVER;
  });

const pathOf =
  (name: string) =>
  ({ subject }: { subject: string | null }): string =>
    `/api/events/${name}${subject === null ? '' : `/${subject}`}`;

/** Sends moves of one stream; what they happen to stands in the address, or in the moves themselves. */
export const sendMoves = <Move extends Stamped, Frozen>(
  stream: Pick<Stream<never, Move, Frozen, never>, 'name' | 'Move' | 'Frozen'>
) =>
  endpoint({
    method: 'POST',
    path: pathOf(stream.name),
    request: z.array(stream.Move).min(1, 'nothing was sent').max(MOST_MOVES),
    response: z.array(eventOf(stream))
  });

/** Sends what lies in a browser for a page that is not open: as it was kept, for the server to read. */
export const sendKeptMoves = endpoint({
  method: 'POST',
  path: ({ box }: { box: string }) => `/api/events/${box.replace(/\/null$/, '')}`,
  request: z.array(z.unknown()),
  response: z.array(z.unknown())
});

/** Asks for every event of one subject, or for what may be new after one of them; in the order recorded. */
export const readEvents = <Move extends Stamped, Frozen>(
  stream: Pick<Stream<never, Move, Frozen, never>, 'name' | 'Move' | 'Frozen'>
) =>
  endpoint({
    method: 'GET',
    path: ({ subject, after }: { subject: string; after?: string | undefined }) =>
      `${pathOf(stream.name)({ subject })}${after === undefined ? '' : `?after=${after}`}`,
    request: NOTHING,
    response: z.array(eventOf(stream))
  });
