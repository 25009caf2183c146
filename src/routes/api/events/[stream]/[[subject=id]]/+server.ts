import { json } from '@sveltejs/kit';
import { CLOCK_HEADER, CLOCK_RIGHT_HEADER } from '$lib/api/endpoint.ts';
import { clockQuestion } from '$lib/server/clock';
import { readEvents, sendMoves } from '$lib/api/events.ts';
import { KEPT_STREAMS } from '$lib/server/streams';
import { eventsAfter, eventsOf } from '$lib/server/events/read';
import { recordMoves } from '$lib/server/events/record';
import { serve } from '$lib/server/serve';
import { settleSoon } from '$lib/server/services/settle-rivets';
import { STREAM_ASKS } from '$lib/server/people/access-policy';
import { namedWithoutRight } from '$lib/server/people/named';
import { wereHere } from '$lib/server/people/sessions';
import { done, refused } from '$lib/server/outcome';
import { z } from 'zod';
import type { RequestHandler } from './$types';

/** Every stream is read and written in this one way; its own rules are its `follow`. */
const POSTS = new Map(
  [...KEPT_STREAMS].map(([name, kept]) => [
    name,
    serve(sendMoves(kept.stream), async ({ database, params, body, person }) => {
      const others = body.flatMap((move: { person?: string | undefined; at: string }) =>
        move.person === undefined || move.person === person.id
          ? []
          : [{ person: move.person, at: move.at }]
      );
      if (!(await wereHere(database, person.device, others)))
        return refused(
          'not-yours',
          'recorded for a person who was not signed in on this device then: kept here until that person signs in'
        );
      const mayNot = await namedWithoutRight(database, STREAM_ASKS[name] ?? 'look', others);
      if (mayNot !== null) return refused('not-possible', mayNot);
      const recorded = await recordMoves(database, kept, params['subject'] ?? null, body, person);
      settleSoon(database);
      return recorded;
    })
  ])
);
const GETS = new Map(
  [...KEPT_STREAMS].map(([name, kept]) => [
    name,
    serve(readEvents(kept.stream), async ({ database, params, query }) => {
      const subject = params['subject'] ?? '';
      const after = z.uuid().safeParse(query.get('after'));
      const events = after.success
        ? await eventsAfter(database, kept, subject, after.data)
        : await eventsOf(database, kept, subject);
      return done(events.map((event) => ({ ...event, subject })));
    })
  ])
);

export const POST: RequestHandler = (event) => {
  const { headers } = event.request;
  const question = clockQuestion(
    { clock: headers.get(CLOCK_HEADER), right: headers.has(CLOCK_RIGHT_HEADER) },
    Date.now()
  );
  if (question) return json(question, { status: 428 });
  return POSTS.get(event.params.stream)?.(event) ?? new Response(null, { status: 404 });
};
export const GET: RequestHandler = (event) =>
  GETS.get(event.params.stream)?.(event) ?? new Response(null, { status: 404 });
