import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PATIENCE_MS, run, type Finished } from './run.ts';

const answersOf = (out: string) =>
  out
    .trimEnd()
    .split('\n')
    .map(
      (line) =>
        JSON.parse(line) as {
          ok: boolean;
          result?: Record<string, unknown>;
          error?: { code: string };
        }
    );

describe('./zanjador calc', () => {
  it('answers one line each, in order, and goes on after a bad one', async () => {
    const { out, code } = await run(
      ['calc'],
      [
        '{"op":"rivet-diameter","input":{"sheetsIn":["1.016mm","0.032"]}}',
        '',
        'nonsense',
        '{"op":"no-such","input":{}}',
        '{"op":"removal","input":{"dash":4}}'
      ].join('\n')
    );
    const answers = answersOf(out);
    expect(code).toBe(0);
    expect(answers.map(({ ok }) => ok)).toEqual([true, false, false, false, true]);
    expect(answers[0]?.result?.['dash']).toBe(4);
    expect(answers.slice(1, 4).map(({ error }) => error?.code)).toEqual(
      Array(3).fill('invalid-input')
    );
    expect(answers[4]?.result?.['drill']).toBe('#31');
  });

  it('answers a thousand lines, every one of them', async () => {
    const lines = Array.from(
      { length: 1000 },
      (_, index) =>
        `{"op":"squeezer-gap","input":{"dash":4,"head":"countersunk","gripIn":${(index + 1) / 1000}}}`
    );
    const answers = answersOf((await run(['calc'], `${lines.join('\n')}\n`)).out);
    expect(answers).toHaveLength(1000);
    answers.forEach(({ result }, index) =>
      expect(result?.['gapIn']).toBeCloseTo((index + 1) / 1000 + 0.0625, 12)
    );
  });

  it('says nothing to nothing', async () => {
    expect(await run(['calc'])).toMatchObject({ code: 0, out: '' });
  });
});

it('./zanjador tells what it can do', async () => {
  const { out } = await run([]);
  for (const command of ['start', 'test', 'dev', 'calc', 'bench', 'soak', 'fuzz', 'docs', 'stop'])
    expect(out).toContain(`./zanjador ${command}`);
});

describe('./zanjador start', () => {
  const data = mkdtempSync(join(tmpdir(), 'zanjador-'));
  let port = 0;
  let env: Record<string, string> = {};
  let started: ChildProcess | null = null;
  let said = '';

  async function start(): Promise<string> {
    said = '';
    started = spawn('bash', ['zanjador', 'start'], {
      env: { ...process.env, ...env },
      stdio: ['ignore', 'ignore', 'pipe']
    });
    started.stderr?.on('data', (chunk: Buffer) => (said += chunk.toString()));
    const until = Date.now() + PATIENCE_MS;
    while (!said.includes(`Zanjador is at http://127.0.0.1:${port}`)) {
      if (started.exitCode !== null || Date.now() > until)
        throw new Error(`it did not start:\n${said}`);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    return said;
  }

  async function stopBy(signal: 'SIGINT' | 'SIGTERM'): Promise<void> {
    if (!started || started.exitCode !== null || started.signalCode !== null) return;
    const ended = once(started, 'exit');
    started.kill(signal);
    await ended;
    started = null;
  }

  /** What somebody of the demo sees at the bench. */
  async function bench(): Promise<string> {
    const url = `http://127.0.0.1:${port}`;
    const who = await (await fetch(`${url}/who`)).text();
    const person = /value="([^"]+)"[^>]*>\s*<strong[^>]*>Ilse/.exec(who)?.[1] ?? '';
    const came = await fetch(`${url}/who?/demo`, {
      method: 'POST',
      headers: { origin: url, accept: 'text/html' },
      body: new URLSearchParams({ person }),
      redirect: 'manual'
    });
    expect(came.status, await came.text()).toBe(303);
    const cookie = came.headers.getSetCookie().join('; ');
    return (await fetch(url, { headers: { cookie } })).text();
  }
  /** What every process on the machine was begun with: anyone may read that. */
  const commandLines = (): string =>
    readdirSync('/proc')
      .filter((name) => /^\d+$/.test(name))
      .map((pid) => {
        try {
          return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
        } catch {
          return '';
        }
      })
      .join('\n');
  const databasePid = () =>
    Number(/^\d+/.exec(readFileSync(clusterFile('postmaster.pid'), 'utf8'))?.[0]);
  /** Where the server's user cannot reach this folder the cluster lies elsewhere, and the script says so. */
  const clusterFile = (name: string) =>
    join(/the cluster is in (\S+)/.exec(said)?.[1] ?? join(data, 'cluster'), name);
  const alive = (pid: number): boolean => {
    try {
      return readFileSync(`/proc/${pid}/stat`, 'utf8').split(' ')[2] !== 'Z';
    } catch {
      return false;
    }
  };

  async function occupy(): Promise<Server> {
    const server = createServer().listen(port, '127.0.0.1');
    await once(server, 'listening');
    return server;
  }

  /** A process that was killed lets go of its port with the last of its threads. */
  async function portFree(): Promise<boolean> {
    try {
      const held = await occupy();
      held.close();
      await once(held, 'close');
      return true;
    } catch {
      return false;
    }
  }

  beforeAll(async () => {
    // below those that the machine hands out by itself: between two starts nobody else gets it
    do port = 20_000 + Math.floor(Math.random() * 10_000);
    while (!(await portFree()));
    env = { PORT: String(port), ZANJADOR_DATA: data };
  });
  afterAll(async () => {
    await stopBy('SIGTERM');
    await run(['stop'], '', env);
    rmSync(clusterFile(''), { recursive: true, force: true });
    rmSync(data, { recursive: true, force: true });
  });

  it(
    'says so when the port is in use',
    async () => {
      const other = await occupy();
      const { code, err } = await run(['start'], '', env);
      other.close();
      await once(other, 'close');
      expect(code).toBe(1);
      expect(err).toContain(`Port ${port} is in use`);
      expect(err).toContain(`PORT=${port + 10} ./zanjador start`);
    },
    PATIENCE_MS
  );

  it(
    'makes a cluster, fills it with the demo data, serves, and ends cleanly on Ctrl-C',
    async () => {
      const seen: string[] = [];
      const watching = setInterval(() => seen.push(commandLines()), 15);
      const first = await start();
      clearInterval(watching);
      for (const file of ['zanjador.password', 'app.password'])
        expect(seen.join('\n').includes(readFileSync(clusterFile(file), 'utf8')), file).toBe(false);
      expect(first).toMatch(/make a private database cluster +\d+\.\d s/);
      expect(first).toContain('demo data put into the empty database');
      expect(await bench()).toContain('Bottom skin lap, bay 9');
      const pid = databasePid();
      expect(alive(pid)).toBe(true);

      const second = await run(['start'], '', env);
      expect(second.code).toBe(1);
      expect(second.err).toContain('or running in this folder');

      await stopBy('SIGINT');
      expect(alive(pid)).toBe(false);
      await expect(bench()).rejects.toThrow();
    },
    2 * PATIENCE_MS
  );

  it(
    'of two starts at once one goes on, and the other says so',
    async () => {
      const first = start();
      const { code, err } = await new Promise<Finished>((resolve, reject) =>
        setTimeout(() => run(['start'], '', env).then(resolve, reject), 250)
      );
      expect(code).toBe(1);
      expect(err).toContain('is already starting or running in this folder');
      await first;
      expect(await bench()).toContain('Bottom skin lap, bay 9');
      await stopBy('SIGINT');
    },
    2 * PATIENCE_MS
  );

  it(
    'starts again after a crash, without rebuilding and without losing anything',
    async () => {
      await start();
      const pid = databasePid();
      const app = Number(readFileSync(join(data, 'app.pid'), 'utf8'));
      // the whole lot dies at once, as when the plug is pulled
      started?.kill('SIGKILL');
      process.kill(app, 'SIGKILL');
      process.kill(pid, 'SIGKILL');
      while (alive(pid) || alive(app) || !(await portFree()))
        await new Promise((resolve) => setTimeout(resolve, 50));

      const again = await start();
      expect(again).not.toContain('build the application');
      expect(again).not.toContain('make a private database cluster');
      expect(again).not.toContain('demo data');
      expect(await bench()).toContain('Bottom skin lap, bay 9');
      await stopBy('SIGTERM');
    },
    2 * PATIENCE_MS
  );

  it(
    'backs up while it serves, refuses a file that was cut off, and restores what was dumped',
    async () => {
      await start();
      expect(await bench()).toContain('Bottom skin lap, bay 9');
      const file = join(data, 'one.backup');
      const made = await run(['backup', file], '', env);
      expect([made.code, made.err]).toEqual([0, made.err]);
      expect(made.out).toContain('read back whole');
      expect(statSync(file).mode & 0o077).toBe(0);
      expect((await run(['backup', file], '', env)).err).toContain('Nothing was overwritten');

      const cut = join(data, 'cut.backup');
      writeFileSync(cut, readFileSync(file).subarray(0, -200));
      const refused = await run(['restore', cut, '--yes'], '', env);
      expect([refused.code, refused.err.includes('Nothing was touched')]).toEqual([1, true]);
      // into a running shop it asks first
      const asked = await run(['restore', file], '', env);
      expect([asked.code, asked.err.includes('Zanjador is running')]).toEqual([1, true]);
      expect(await bench()).toContain('Bottom skin lap, bay 9');

      // while it is being started its database is nobody’s to change
      await stopBy('SIGINT');
      const starting = spawn('flock', ['--no-fork', join(data, 'start.lock'), 'sleep', '30']);
      const meanwhile = await run(['restore', file, '--yes'], '', env);
      // the lock is free when it has ended, not when it was told to
      const ended = once(starting, 'exit');
      starting.kill('SIGKILL');
      await ended;
      expect([meanwhile.code, meanwhile.err.includes('is being started')]).toEqual([1, true]);
      await start();

      const restored = await run(['restore', file, '--yes'], '', env);
      expect(restored.err).toContain('the database before is kept aside as zanjador_before_');
      expect(restored.code).toBe(0);
      if (started && started.exitCode === null) await once(started, 'exit');
      started = null;
      const again = join(data, 'again.backup');
      expect((await run(['backup', again], '', env)).code).toBe(0);
      const tables = (path: string) =>
        (
          JSON.parse(gunzipSync(readFileSync(path)).toString('latin1').split('\n')[0] ?? '') as {
            tables: Record<string, { rows: number }>;
          }
        ).tables;
      const { sessions, ...rest } = tables(again);
      const { sessions: before, ...dumped } = tables(file);
      expect(rest).toEqual(dumped);
      // as many, and none of them lets anybody in any more
      expect(sessions?.rows).toBe(before?.rows);
      expect(sessions).not.toEqual(before);
      expect(tables(file)['hole_events']?.rows).toBeGreaterThan(10);

      const audited = await run(['audit'], '', env);
      expect([audited.code, audited.out.startsWith('✓')]).toEqual([0, true]);
      await start();
      expect(await bench()).toContain('Bottom skin lap, bay 9');
      await stopBy('SIGINT');
    },
    3 * PATIENCE_MS
  );
});
