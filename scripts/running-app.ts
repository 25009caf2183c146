import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';

/** One process of the built application. */
export interface RunningApp {
  url: string;
  process: ChildProcess;
  /** asks it to end, and waits until it has */
  stop(): Promise<void>;
  /** ends it as a power cut would */
  kill(): Promise<void>;
}

const PATIENCE_MS = 30_000;

/** A port of this machine that nobody listens on. */
export async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  server.close();
  if (address === null || typeof address === 'string') throw new Error('no port');
  return address.port;
}

/** Waits until a page answers well. @throws when the process ends before, or takes longer than anyone waits */
export async function answers(url: string, app: ChildProcess): Promise<void> {
  const until = Date.now() + PATIENCE_MS;
  while (Date.now() < until) {
    if (app.exitCode !== null) throw new Error(`the application ended with ${app.exitCode}`);
    const reached = await fetch(url).then(
      (response) => response.ok,
      () => false
    );
    if (reached) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('the application did not answer');
}

/** Serves a database at a port of this machine, once it answers. */
export async function runApp(
  databaseUrl: string,
  port: number,
  env: Record<string, string> = {}
): Promise<RunningApp> {
  const url = `http://127.0.0.1:${port}`;
  const app = spawn('node', ['.build/scripts/serve.js'], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      ORIGIN: url,
      BODY_SIZE_LIMIT: '6M',
      DATABASE_URL: databaseUrl,
      ...env
    },
    stdio: ['ignore', 'ignore', 'inherit']
  });
  // whoever started it and falls over leaves nothing running
  process.once('exit', () => app.kill('SIGKILL'));
  const ended = once(app, 'exit');
  const end = async (signal: NodeJS.Signals): Promise<void> => {
    app.kill(signal);
    await ended;
  };
  await answers(`${url}/ready`, app).catch(async (error: unknown) => {
    await end('SIGKILL');
    throw error;
  });
  return { url, process: app, stop: () => end('SIGTERM'), kill: () => end('SIGKILL') };
}
