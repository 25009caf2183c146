import { json, type RequestEvent, type RequestHandler } from '@sveltejs/kit';
import type { z } from 'zod';
import type { Endpoint } from '../api/endpoint.ts';
import { readBody, respond, sayWhoFirst } from './answers.ts';
import type { Database } from './db/connect.ts';
import type { Present } from './people/sessions.ts';
import type { Outcome } from './outcome.ts';

/** What a handler is given: the body as the endpoint's schema read it, and who asks. */
interface Asked<Body> {
  body: Body;
  params: Record<string, string>;
  query: URLSearchParams;
  database: Database;
  person: Present;
}

type Handler<Request extends z.ZodType, Response extends z.ZodType> = (
  asked: Asked<z.output<Request>>
) => Promise<Outcome<z.input<Response>>>;

async function answer<Request extends z.ZodType, Response extends z.ZodType>(
  { method, request: schema, alsoAt }: Endpoint<never, Request, Response>,
  { request, params, url, locals }: RequestEvent,
  person: Present,
  handle: Handler<Request, Response>
) {
  const body =
    method === 'GET'
      ? { ok: true as const, value: undefined as z.output<Request> }
      : await readBody(request, schema, locals.length);
  if (!body.ok) return body.response;
  const outcome = await handle({
    body: body.value,
    params: params as Record<string, string>,
    query: url.searchParams,
    database: locals.database(),
    person
  });
  return outcome.ok && alsoAt !== undefined && isOther(outcome.value)
    ? json(outcome.value, { status: alsoAt })
    : respond(outcome, locals.length);
}

/** The one answer that comes under another status: a save that found the joint changed. */
const isOther = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && 'saved' in value && value.saved === false;

/** Answers an endpoint to whoever said who is at the bench: the door lets nobody else through who may not. */
export const serve =
  <Request extends z.ZodType, Response extends z.ZodType>(
    endpoint: Endpoint<never, Request, Response>,
    handle: Handler<Request, Response>
  ): RequestHandler =>
  (event) =>
    event.locals.person ? answer(endpoint, event, event.locals.person, handle) : sayWhoFirst();
