import type { Cookies } from '@sveltejs/kit';
import { database } from '../database.ts';
import type { StreamOf } from '../devices/line-stream.ts';
import { SESSION_COOKIE } from '../people/sessions.ts';
import { OpenStreams } from '../open-streams.ts';

const open = new OpenStreams(database);

/** Whoever asks for a stream, by the session that their browser holds. */
export const streamOf = (cookies: Cookies): StreamOf => ({
  session: cookies.get(SESSION_COOKIE),
  open
});
