import { once } from 'node:events';
import { connect, createServer, type Socket } from 'node:net';
import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { expect, sessionOf, test } from './app.ts';

/** A way to the database that can be made to hang: what is sent arrives, and nothing comes back. */
async function hangingWay(
  to: URL
): Promise<{ url: string; hang: (on: boolean) => void; end: () => void }> {
  const open = new Set<[Socket, Socket]>();
  let hangs = false;
  const server = createServer((near) => {
    const far = connect(Number(to.port), to.hostname);
    const pair: [Socket, Socket] = [near, far];
    open.add(pair);
    near.pipe(far);
    far.on('data', (data) => {
      if (!hangs) near.write(data);
    });
    for (const one of pair)
      one
        .on('close', () => {
          open.delete(pair);
          near.destroy();
          far.destroy();
        })
        .on('error', () => undefined);
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  const url = new URL(to);
  url.port = String(typeof address === 'object' ? address?.port : '');
  return {
    url: url.href,
    hang: (on) => {
      hangs = on;
    },
    end() {
      server.close();
      for (const pair of open) pair.forEach((one) => one.destroy());
    }
  };
}

test('a database that hangs is said to be away at once, and everything goes on by itself', async ({
  page,
  app
}) => {
  const way = await hangingWay(new URL(app.databaseUrl));
  const url = await app.another(way.url);
  const { value } = await sessionOf(app, 'Ilse Varnholt');
  await page.context().addCookies([{ name: 'session', value, url }]);
  await page.goto(url);
  await expect(page.getByRole('heading', { name: JOBS.bench, exact: true })).toBeVisible();

  way.hang(true);
  const from = Date.now();
  const answers = await Promise.all(
    Array.from({ length: 20 }, () => page.request.get(`${url}/stock`, { maxRedirects: 0 }))
  );
  expect(answers.map((answer) => answer.status())).toEqual(Array(20).fill(503));
  // it waits under two seconds for the database; the rest is this machine
  expect(Date.now() - from).toBeLessThan(15_000);
  const shown = await page.context().newPage();
  await shown.goto(url);
  await expect(shown.getByRole('alert')).toContainText('The database does not answer just now');
  // also to somebody who has not said who they are
  const stranger = await fetch(`${url}/who`);
  expect([stranger.status, await stranger.text()]).toEqual([
    503,
    expect.stringContaining('The database does not answer just now')
  ]);
  expect((await page.request.get(`${url}/ready`)).status()).toBe(503);
  expect((await page.request.get(`${url}/health`)).status()).toBe(200);

  // what needs no database is answered, whoever is signed in
  const rivets = await page.request.get(`${url}/rivets`);
  expect([rivets.status(), (await rivets.text()).includes('MS20470')]).toEqual([200, true]);
  const calculated = await page.request.post(`${url}/api/calc/part-number`, {
    data: { text: 'MS20470AD4-6' },
    headers: { origin: url }
  });
  expect(calculated.status()).toBe(200);

  way.hang(false);
  // nobody touches it: the page asks again
  await expect(shown.getByRole('heading', { name: JOBS.bench, exact: true })).toBeVisible({
    timeout: 60_000
  });
  way.end();
});
