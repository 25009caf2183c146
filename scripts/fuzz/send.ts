import { setTimeout as later } from 'node:timers/promises';
import type { Hand } from '../fresh-shop.ts';
import { mutated, mutatedText, pick, PROTOTYPE, swollen, type Random } from './mutate.ts';
import type { Seed } from './corpus.ts';

/** A wrong request, ready to go. */
export interface Wrong {
  door: string;
  method: string;
  path: string;
  headers: Record<string, string>;
  body: string | FormData | null;
}

/** What came back that must not. */
export interface Broken {
  what: 'no answer' | 'server error' | 'slow' | 'unparsable' | 'busy';
  wrong: Wrong;
  said: string;
}

const QUERIES = [
  'q',
  'back',
  'page',
  'part',
  'lot',
  'from',
  'to',
  'hole',
  'unit',
  'release',
  'tool',
  'by'
];

function wrongPath(random: Random, path: string): string {
  const [at = '', query] = path.split('?');
  const how = random();
  if (query !== undefined || how < 0.5) return path;
  if (how < 0.7)
    return `${at}?${pick(random, QUERIES)}=${encodeURIComponent(text(mutated(random, { a: path })).toWellFormed())}`;
  const parts = at.split('/');
  const place = 1 + Math.floor(random() * (parts.length - 1));
  parts[place] =
    how < 0.8
      ? pick(random, PROTOTYPE)
      : encodeURIComponent(mutatedText(random, parts[place] ?? '').toWellFormed()).slice(0, 2000);
  return parts.join('/') || '/';
}

const text = (value: unknown): string => (JSON.stringify(value) as string | undefined) ?? '';

function formOf(random: Random, fields: Record<string, string>): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) {
    const how = random();
    if (how < 0.15) continue;
    const wrong = how < 0.6 ? mutatedText(random, value) : value;
    if (name === 'file') form.set(name, new File([wrong], mutatedText(random, 'joint.json')));
    else form.append(name, wrong);
    if (how > 0.95) form.append(name, 'twice');
  }
  return form;
}

/** Makes a wrong request of a good one. */
export function wrongOf(
  random: Random,
  { door, method, path, body }: Seed,
  hand: Hand | null
): Wrong {
  const headers = { ...(hand?.headers ?? {}) };
  const wrong = { door, method, path: wrongPath(random, path), headers };
  if (body === null) return { ...wrong, body: null };
  if (body.kind === 'form') return { ...wrong, path, body: formOf(random, body.fields) };
  headers['content-type'] = random() < 0.97 ? 'application/json' : 'text/plain';
  const value = text((random() < 0.04 ? swollen : mutated)(random, body.value));
  return {
    ...wrong,
    path: random() < 0.9 ? path : wrong.path,
    body: random() < 0.9 ? value : mutatedText(random, value)
  };
}

const PATIENCE_MS = 30_000;

/** A machine that was busy is asked so often again. */
const AGAIN = 3;
const AGAIN_AFTER_MS = 1500;

/** Sends it, and looks at what comes back. @returns what must not be; null where all is well */
export async function sendWrong(url: string, wrong: Wrong, slowMs: number): Promise<Broken | null> {
  let found = await sendOnce(url, wrong, slowMs);
  for (let again = 0; found?.what === 'busy' && again < AGAIN; again++) {
    await later(AGAIN_AFTER_MS);
    found = await sendOnce(url, wrong, slowMs);
  }
  // one door that is always busy while the others are open is broken
  if (found?.what === 'busy' && (await isReady(url))) return { ...found, what: 'server error' };
  return found;
}

const isReady = async (url: string): Promise<boolean> =>
  (await fetch(`${url}/ready`, { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => null))
    ?.ok ?? false;

async function sendOnce(url: string, wrong: Wrong, slowMs: number): Promise<Broken | null> {
  const from = performance.now();
  const broken = (what: Broken['what'], said: string): Broken => ({ what, wrong, said });
  try {
    const { method, headers, body } = wrong;
    const answer = await fetch(url + wrong.path, {
      method,
      headers,
      redirect: 'manual',
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body === null ? {} : { body: typeof body === 'string' ? body.toWellFormed() : body })
    });
    const type = answer.headers.get('content-type') ?? '';
    if (type.startsWith('text/event-stream')) {
      await answer.body?.cancel();
      return null;
    }
    const said = await answer.text();
    const ms = performance.now() - from;
    // it says so itself, and is well: a busy machine
    if (answer.status === 503 && answer.headers.has('retry-after'))
      return broken('busy', said.slice(0, 300));
    if (answer.status >= 500)
      return broken('server error', `${answer.status} ${said.slice(0, 300)}`);
    if (type.startsWith('application/json')) JSON.parse(said);
    else if (said === '' && answer.status < 300 && answer.status !== 204)
      return broken('unparsable', 'empty');
    return ms > slowMs ? broken('slow', `${Math.round(ms)} ms`) : null;
  } catch (error) {
    const words = error instanceof Error ? error.message : String(error);
    return broken(error instanceof SyntaxError ? 'unparsable' : 'no answer', words);
  }
}
