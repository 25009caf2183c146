import { z } from 'zod';
import { Word } from '../../core/driving/two-people.ts';
import { endpoint } from './endpoint.ts';

/** Says a word to whoever drives the same release; what comes back comes over the stream of the same address. */
export const sayAt = endpoint({
  method: 'POST',
  path: ({ release }: { release: string }) => `/api/live/${release}`,
  request: Word,
  response: z.strictObject({ said: z.literal(true) })
});

/** What comes over the stream, one JSON object a line. */
export const LiveLine = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('word'), word: Word, by: z.string(), person: z.uuid() }),
  /** something was logged: one's own list is read again from there */
  z.strictObject({ kind: z.literal('logged'), event: z.uuid() })
]);
export type LiveLine = z.output<typeof LiveLine>;
