import {
  json,
  redirect,
  type Handle,
  type HandleServerError,
  type ServerInit
} from '@sveltejs/kit';
import { closeDatabase, database } from '$lib/server/database';
import { benches, calipers } from '$lib/server/devices/bench-hub';
import { live } from '$lib/server/live/live-hub';
import { endThreads } from '$lib/server/heavy/threads';
import { log } from '$lib/server/log';
import { refuseForeignChange } from '$lib/server/own-origin';
import { FIRST_STYLE, LengthStyle } from '$core/units/format-length.ts';
import { writing } from '$lib/words/writing';
import { personOf } from '$lib/server/services/people';
import { settleSoon } from '$lib/server/services/settle-rivets';

process.on('sveltekit:shutdown', () => void Promise.all([closeDatabase(), endThreads()]));
// The server ends once its last answer has; a stream of lines would never end by itself.
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.on(signal, () => {
    benches.closeAll();
    calipers.closeAll();
    live.closeAll();
  });

/** `localhost` and `127.0.0.1` are two origins to a browser: send people to the one that saves. */
function rightAddress(request: Request, url: URL): string | null {
  const host = request.headers.get('host');
  return host === null || host === url.host ? null : `${url.origin}${url.pathname}${url.search}`;
}

/** What another run of the server noted and did not settle. */
export const init: ServerInit = () => settleSoon(database());

export const handle: Handle = async ({ event, resolve }) => {
  const { request, url, cookies, locals } = event;
  const elsewhere = rightAddress(request, url);
  if (elsewhere !== null) {
    if (request.method === 'GET') redirect(307, elsewhere);
    return json({ message: `this is served at ${url.origin} only` }, { status: 421 });
  }
  const refusal = refuseForeignChange(request, url);
  if (refusal !== null) return json({ message: refusal }, { status: 403 });

  locals.database = database;
  const personId = cookies.get('person');
  locals.person = personId ? await personOf(database(), personId) : null;

  const lengths = LengthStyle.safeParse(cookies.get('lengths'));
  locals.style = lengths.success ? lengths.data : null;
  // pages are written as they are read in the browser; programs that ask get decimal inches
  locals.length = writing(locals.style ?? (url.pathname.startsWith('/api/') ? null : FIRST_STYLE));

  const mode = cookies.get('mode') === 'dark' ? 'dark' : 'light';
  const response = await resolve(event, {
    transformPageChunk: ({ html }) => html.replace('%zanjador.mode%', mode)
  });
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  return response;
};

export const handleError: HandleServerError = ({ error, status, event }) => {
  if (status >= 500) log.error({ err: error, path: event.url.pathname }, 'request failed');
  return {
    message:
      status === 404
        ? 'There is no such page here.'
        : 'Something went wrong on the server. What was saved is safe; try again.'
  };
};
