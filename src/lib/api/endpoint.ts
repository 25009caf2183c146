import { z } from 'zod';

/** One question that the browser asks the server: where, what is sent, what comes back. Declared once for both. */
export interface Endpoint<Params, Request extends z.ZodType, Response extends z.ZodType> {
  method: 'GET' | 'POST' | 'PUT';
  path(params: Params): string;
  request: Request;
  response: Response;
  /** a status beside 200 under which an answer of this shape comes: a stale save answers 409 with what changed */
  alsoAt?: number;
}

/** Ties an endpoint's types together. */
export const endpoint = <Params, Request extends z.ZodType, Response extends z.ZodType>(
  declared: Endpoint<Params, Request, Response>
): Endpoint<Params, Request, Response> => declared;

/** Nothing is sent. */
export const NOTHING = z.undefined();

/** What a refusal says over HTTP. */
export const RefusalBody = z.object({
  message: z.string(),
  /** the sender's clock is this far ahead of the server's: nothing is stored until someone said which is right */
  clockOffMs: z.number().optional()
});

/** How a sender tells its clock, and that someone said it is right. */
export const CLOCK_HEADER = 'x-clock';
export const CLOCK_RIGHT_HEADER = 'x-clock-right';
