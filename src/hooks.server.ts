import { presentAddress } from '$lib/stations/older-addresses.ts';
import { randomUUID } from 'node:crypto';
import {
  error,
  isHttpError,
  isRedirect,
  json,
  redirect,
  type Handle,
  type HandleServerError,
  type RequestEvent,
  type ServerInit
} from '@sveltejs/kit';
import { linkSoon } from '$lib/server/audit/chain';
import { tooMuch } from '$lib/server/body-limit';
import { closeDatabase, database } from '$lib/server/database';
import { hasLeft, isAway, isBusy } from '$lib/server/db/away';
import { asks, WITHOUT_DATABASE } from '$lib/server/people/access-policy';
import { ANSWER_MS, within } from '$lib/server/db/within';
import { benches, calipers } from '$lib/server/devices/bench-hub';
import { live } from '$lib/server/live/live-hub';
import { endThreads } from '$lib/server/heavy/threads';
import { waitFor } from '$lib/server/limits';
import { log } from '$lib/server/log';
import { countRequest } from '$lib/server/metrics';
import { refuseForeignChange } from '$lib/server/own-origin';
import { FIRST_STYLE, LengthStyle } from '$core/units/format-length.ts';
import { writing } from '$lib/words/writing';
import { mayNot, sayWhoFirst } from '$lib/server/answers';
import { benchBy } from '$lib/server/people/benches';
import { BENCH_COOKIE, keepDevice } from '$lib/server/people/cookies';
import { DEVICE_COOKIE, tieToDevice } from '$lib/server/people/devices';
import { presentBy, SESSION_COOKIE } from '$lib/server/people/sessions';
import { may } from '$core/people/rights.ts';
import { mayNotInWords } from '$lib/words/roles';
import { settleSoon } from '$lib/server/services/settle-rivets';

const DATABASE_AWAY =
  'The database does not answer just now. What was saved is safe, and what you typed stays in this browser; this page tries again by itself.';

const MANY_AT_ONCE =
  'Many ask at once just now: again in a moment. What was saved is safe, and what you typed stays in this browser; this page tries again by itself.';
const notNow = (error: unknown): string => (isBusy(error) ? MANY_AT_ONCE : DATABASE_AWAY);

/** These ask of the process alone, whoever asks. */
const ALONE: ReadonlySet<string> = new Set(['/health', '/ready', '/metrics', '/api/calc/[op]']);

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
export const init: ServerInit = () => {
  settleSoon(database());
  linkSoon(database());
};

/** What stands in the way of whoever comes; null: come in. Every door stands in one list. */
function shutDoor({ route, request, params, locals, url }: RequestEvent): Response | null {
  // what is no route of ours is a page that does not exist, for everyone
  if (route.id === null) return null;
  const asked = asks(route.id, request.method, params);
  if (asked === 'anyone') return null;
  const { person } = locals;
  const isPage = !url.pathname.startsWith('/api/');
  if (person === null) {
    if (isPage) redirect(303, `/who?back=${encodeURIComponent(url.pathname + url.search)}`);
    return sayWhoFirst();
  }
  if (asked === 'signed-in' || (asked !== null && may(person.role, asked))) return null;
  const words = mayNotInWords(person.role, asked);
  if (isPage) error(403, words);
  return mayNot(words);
}

/** Whatever comes of a request, it is counted. */
export const handle: Handle = async (asked) => {
  const from = performance.now();
  let status = 500;
  try {
    const answered = await answer(asked);
    status = answered.status;
    return answered;
  } catch (thrown) {
    if (isHttpError(thrown) || isRedirect(thrown)) status = thrown.status;
    throw thrown;
  } finally {
    const { request, route } = asked.event;
    countRequest(request.method, route.id, status, (performance.now() - from) / 1000);
  }
};

const answer: Handle = async ({ event, resolve }) => {
  const { request, url, cookies, locals } = event;
  locals.request = requestId(request);
  const elsewhere = rightAddress(request, url);
  if (elsewhere !== null) {
    if (request.method === 'GET') redirect(307, elsewhere);
    return json({ message: `this is served at ${url.origin} only` }, { status: 421 });
  }
  const present = presentAddress(url.pathname);
  if (present !== null && request.method === 'GET') redirect(308, `${present}${url.search}`);
  const refusal = refuseForeignChange(request, url);
  if (refusal !== null) return json({ message: refusal }, { status: 403 });

  const much = tooMuch(request.method, url.pathname, request.headers);
  if (much !== null) return json({ message: much.message }, { status: much.status });

  const bytes = Number(request.headers.get('content-length') ?? 0);
  const wait = await waitFor(request.method, url.pathname, event.getClientAddress, bytes);
  if (wait > 0)
    return json(
      { message: `too often: try again in ${wait} s` },
      { status: 429, headers: { 'retry-after': String(wait) } }
    );

  locals.database = database;
  locals.person = null;
  locals.bench = null;
  try {
    if (!ALONE.has(event.route.id ?? '')) {
      const session = cookies.get(SESSION_COOKIE);
      locals.person = session ? await within(ANSWER_MS, presentBy(database(), session)) : null;
      if (session !== undefined && locals.person?.device === null) {
        const tied = await within(
          ANSWER_MS,
          tieToDevice(database(), session, cookies.get(DEVICE_COOKIE))
        );
        locals.person.device = tied.device;
        if (tied.token !== null) keepDevice(cookies, url, tied.token);
      }
      locals.bench = await within(ANSWER_MS, benchBy(database(), cookies.get(BENCH_COOKIE)));
    }
  } catch (broken) {
    if (!isAway(broken)) throw broken;
    // who asks is not known then, and there it need not be
    if (!WITHOUT_DATABASE.has(event.route.id ?? '')) error(503, notNow(broken));
    locals.person = null;
  }
  const shut = shutDoor(event);
  if (shut !== null) return shut;

  const lengths = LengthStyle.safeParse(cookies.get('lengths'));
  locals.style = lengths.success ? lengths.data : null;
  // pages are written as they are read in the browser; programs that ask get decimal inches
  locals.length = writing(locals.style ?? (url.pathname.startsWith('/api/') ? null : FIRST_STYLE));

  const mode = cookies.get('mode') === 'dark' ? 'dark' : 'light';
  const answered = await resolve(event, {
    transformPageChunk: ({ html }) => html.replace('%zanjador.mode%', mode)
  });
  const response = locals.away ? unavailable(answered) : answered;
  if (request.method !== 'GET' && response.status < 400) linkSoon(database());
  // what a person sees is nobody else’s to keep
  if (!response.headers.has('cache-control'))
    response.headers.set('cache-control', 'private, no-store');
  response.headers.set('x-request-id', locals.request);
  // whoever keeps it knows which build's it is
  if (response.headers.get('content-type')?.startsWith('text/html'))
    response.headers.set('x-pages', __PAGES_CACHE__);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  return response;
};

/** A balancer's own name for a request is kept, if it is one; else it gets one. */
function requestId(request: Request): string {
  const given = request.headers.get('x-request-id') ?? '';
  return /^[\w-]{8,64}$/.test(given) ? given : randomUUID();
}

/** What the log says of a request: its name and route, who by their id; nothing that was typed. */
const about = ({ locals, route, request }: RequestEvent) => ({
  request: locals.request,
  method: request.method,
  route: route.id,
  person: locals.person?.id ?? null
});

/** The same answer under the status that says: not now, try again. */
function unavailable({ body, headers }: Response): Response {
  headers.set('retry-after', '5');
  return new Response(body, { status: 503, headers });
}

export const handleError: HandleServerError = ({ error: err, status, event }) => {
  if (isAway(err)) {
    event.locals.away = true;
    log.warn(about(event), isBusy(err) ? 'no connection was free' : 'the database does not answer');
    return { message: notNow(err) };
  }
  // nobody is there any more to be answered, and nothing failed here
  if (hasLeft(err)) log.info(about(event), 'the client has left');
  else if (status >= 500) log.error({ err, ...about(event) }, 'request failed');
  return {
    message:
      status === 404
        ? 'There is no such page here.'
        : 'Something went wrong on the server. What was saved is safe; try again.'
  };
};
