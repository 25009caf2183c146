import { sayAt } from '$lib/api/live.ts';
import { lineStream } from '$lib/server/devices/line-stream';
import { streamOf } from '$lib/server/live/streams';
import { keepCall } from '$lib/server/events/team-calls';
import { live, sayLive } from '$lib/server/live/live-hub';
import { serve } from '$lib/server/serve';
import { done } from '$lib/server/outcome';
import type { RequestHandler } from './$types';

/** What is said and logged about a release, from whatever process. */
export const GET: RequestHandler = ({ params, cookies }) =>
  lineStream(streamOf(cookies), (send, close) => live.listen(params.release, send, close));

/** One device's word to the other. */
export const POST = serve(sayAt, async ({ database, params, body, person }) => {
  if (body.call === 'ready' || body.call === 'go')
    await keepCall(database, params['release'] ?? '', person);
  await sayLive(database, params['release'] ?? '', {
    kind: 'word',
    word: body,
    by: person.name,
    person: person.id
  });
  return done({ said: true as const });
});
