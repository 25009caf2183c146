import { randomUUID } from 'node:crypto';
import { sideBySide, type Ask } from './load.ts';
import { bareInsert, now, ratio, someRelease, whole } from './routes.ts';
import type { Served } from './server.ts';
import { plainTap } from '../plain-tap.ts';

/** Taps while driving against one bare insert on the same server, and what one tap takes from key to acknowledged. */
export async function driveRows(served: Served): Promise<string[]> {
  const { url, headers } = served;
  const { id: release, hole } = await someRelease(served);
  const tap = (id: string) => ({ id, at: now(), ...plainTap(hole) });
  const path = `/api/events/drive/${release}`;
  const taps: Ask = { url, headers, path, body: (id) => [tap(id())] };
  const { ratio: share, one, other } = await sideBySide(taps, bareInsert(served, tap));
  const alone = await timesOf(TAPS, async () => {
    const reply = await post(served, path, [tap(randomUUID())]);
    if (!reply.ok) throw new Error(`a tap was refused: ${reply.status}`);
  });
  const second = await served.another();
  const calls = await callTimes(served, release, second.url);
  await second.stop();
  return [
    `| a tap while driving | ${whole(one.perS)} | ${ratio(share)} of a bare insert through the same server (${whole(other.perS)}) | ${one.slowMs} ms |`,
    `| tap to acknowledged, one client | | middle ${alone.middleMs.toFixed(1)} ms | ${alone.slowMs.toFixed(1)} ms (p95) |`,
    `| a call from device to device, two processes | | middle ${calls.middleMs.toFixed(1)} ms | ${calls.slowMs.toFixed(1)} ms (p95) |`
  ];
}

const TAPS = 200;
const CALLS = 200;

const post = ({ url, headers }: Served, path: string, body: unknown): Promise<Response> =>
  fetch(url + path, {
    method: 'POST',
    headers: { ...headers, 'content-type': 'application/json' },
    body: JSON.stringify(body)
  });

/** The middle and the slow twentieth of something done again and again. */
async function timesOf(
  count: number,
  act: () => Promise<unknown>
): Promise<{ middleMs: number; slowMs: number }> {
  const times: number[] = [];
  for (let done = 0; done < count; done++) {
    const from = performance.now();
    await act();
    times.push(performance.now() - from);
  }
  times.sort((a, b) => a - b);
  const at = (share: number) => times[Math.floor(share * (times.length - 1))] ?? NaN;
  return { middleMs: at(0.5), slowMs: at(0.95) };
}

/** From one device's word to the moment the other's stream has it, of another process, through the database. */
async function callTimes(
  served: Served,
  release: string,
  farUrl: string
): Promise<{ middleMs: number; slowMs: number }> {
  const path = `/api/live/${release}`;
  const ended = new AbortController();
  const stream = await fetch(farUrl + path, { headers: served.headers, signal: ended.signal });
  const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader();
  if (!reader) throw new Error('the live stream has no body');
  let heard = '';
  let turn = 0;
  const device = randomUUID();
  const waitFor = async (text: string): Promise<void> => {
    while (!heard.includes(text)) heard += (await reader.read()).value ?? '';
    heard = '';
  };
  const say = () =>
    post(served, path, { device, role: 'gun', call: 'go', hole: 1, turn: (turn += 1) });
  // the process begins to listen once somebody is there
  while (!heard.includes('word')) {
    await say();
    heard += (await reader.read()).value ?? '';
  }
  heard = '';
  const times = await timesOf(CALLS, async () => {
    const said = say();
    await waitFor(`"turn":${turn}}`);
    await said;
  });
  ended.abort();
  return times;
}
