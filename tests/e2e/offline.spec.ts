import type { Page } from '@playwright/test';
import { z } from 'zod';
import { openDatabase } from '../../src/lib/server/db/connect.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { WAITING } from '../../src/lib/words/pages/waiting.ts';
import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { DRIVE } from '../../src/lib/words/pages/drive.ts';
import { firstPress, expect, openOwn, receive, test } from './app.ts';

test.use({ serviceWorkers: 'allow' });

const keptPages = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const name = (await caches.keys()).find((one) => one.startsWith('pages-'));
    if (name === undefined) return [];
    const cache = await caches.open(name);
    return (await cache.keys()).map(({ url }) => new URL(url).pathname);
  });
const textOfKept = (page: Page, path: string): Promise<string> =>
  page.evaluate(async (path) => (await (await caches.match(path))?.text()) ?? '', path);
const awake = (page: Page) => page.locator('html[data-awake]').waitFor({ state: 'attached' });

test('a joint opened before works for hours without the server: pages open, what is logged waits and goes once', async ({
  page,
  app
}) => {
  test.setTimeout(240_000);
  const database = openDatabase(app.databaseUrl);
  const [joint] = await rowsOf<{ id: string }>(
    database,
    `select id from joints where title = 'Bottom skin lap, bay 9'`
  );
  await database.sequelize.close();
  // a deep page is the first that this browser sees
  const base = `${app.url}/joints/${joint?.id ?? ''}`;
  await page.goto(`${base}/drive`);
  // the application puts itself in once the page has been loaded; then it keeps every station of the joint
  await expect
    .poll(() => keptPages(page), { timeout: 60_000 })
    .toEqual(expect.arrayContaining(['/', `${new URL(base).pathname}/inspect`]));

  await app.stop();
  await page.reload();
  await awake(page);
  const reach = page.getByRole('status').filter({ hasText: WAITING.noServerSince });
  await expect(reach).toBeVisible();
  const card = page.getByTestId('tap-card');
  const before = Number(/(\d+) of \d+ driven/.exec((await card.textContent()) ?? '')?.[1] ?? '0');
  const next = page.getByTestId('next-rivet');
  const order: number[] = [];
  for (let tap = 0; tap < 3; tap++) {
    order.push(Number(await next.textContent()));
    const press = () => page.keyboard.press('Enter');
    await (tap === 0 ? firstPress(page, press) : press());
  }
  await expect(card).toContainText(`${before + 3} of`);
  // hours later, on another page, loaded anew: all of it is still there, and said
  await page.goto(app.url);
  await awake(page);
  await expect(page.getByRole('heading', { name: JOBS.bench, exact: true })).toBeVisible();
  // three rivets, and what was said of the steps
  await expect(reach).toContainText('4 entries wait in this browser');
  await page.goto(`${base}/drive`);
  await awake(page);
  await expect(card).toContainText(`${before + 3} of`);
  // what was never opened here is said not to be there; a page of another build would stand there dead
  await page.evaluate(async () => {
    const name = (await caches.keys()).find((one) => one.startsWith('pages-')) ?? '';
    const older = new Response('<p>dead</p>', { headers: { 'x-pages': 'pages-older' } });
    await (await caches.open(name)).put('/records', older);
  });
  await page.evaluate(() => location.assign('/records'));
  await expect(page.getByRole('alert')).toContainText('is not saved on this device');

  await page.goto(app.url);
  await awake(page);
  await app.start();
  // no page of the joint is open: they go all the same
  await expect(page.getByText('Back online')).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: WAITING.loadItAnew }).click();
  await page.goto(`${base}/drive`);
  await awake(page);
  await expect(card).toContainText(`${before + 3} of`);
  await expect(page.getByText('waits in this browser')).toHaveCount(0);
  const release = /"?release"?:\{"?id"?:"([0-9a-f-]{36})"/.exec(await page.content())?.[1] ?? '';
  const stored = z
    .array(z.looseObject({ kind: z.string(), hole: z.number().optional() }))
    .parse(await (await page.request.get(`${app.url}/api/events/drive/${release}`)).json());
  const last = stored.slice(-3);
  expect(last.map(({ kind, hole }) => [kind, hole])).toEqual(order.map((hole) => ['driven', hole]));
  expect(stored.filter(({ hole }) => hole === order[0])).toHaveLength(1);

  // whoever comes next has none of these pages
  await page.goto(`${app.url}/who`);
  await awake(page);
  const joints = async () => (await keptPages(page)).filter((path) => path.startsWith('/joints'));
  await expect.poll(joints).toEqual([]);
});

test('the clock of a cold batch runs on in a page that is kept here', async ({ page, app }) => {
  test.setTimeout(240_000);
  await openOwn(page, app, { ...BOTTOM_LAP, alloy: 'DD' }, 'drive');
  const drive = page.url();
  await page.getByRole('button', { name: DRIVE.releaseItAndStartDriving }).click();
  const part = (await page.getByTestId('tap-card').locator('.part').textContent()) ?? '';
  await receive(page, app, [part, 'OF-3', '20']);
  await page.goto(drive);
  await page.getByTestId('out-of-cold-OF-3').fill('6');
  await page.getByTestId('out-of-cold-OF-3').press('Enter');
  const clocks = page.getByTestId('cold-clocks');
  await expect(clocks).toContainText('6 of 6');
  await page.reload();
  await expect.poll(() => keptPages(page), { timeout: 60_000 }).toContain(new URL(drive).pathname);
  // what was kept shows the batch
  await expect
    .poll(() => textOfKept(page, new URL(drive).pathname), { timeout: 30_000 })
    .toContain('OF-3');

  await app.stop();
  // the window closes after 20 min: a page made before says nothing of it
  await page.clock.setFixedTime(Date.now() + 23 * 60_000);
  await page.reload();
  await awake(page);
  await expect(page.getByRole('status').filter({ hasText: WAITING.noServerSince })).toBeVisible();
  await expect(clocks).toContainText('expired');
  await firstPress(page, () => page.keyboard.press('Space'));
  await expect(page.getByText('its rivets are too hard')).toBeVisible();
  await app.start();
  // none is left out for whoever drives next
  await page.reload();
  await awake(page);
  await page.getByTestId('left-over-OF-3').fill('6');
  await page.getByTestId('left-over-OF-3').press('Enter');
  await expect(clocks.getByText('OF-3')).toHaveCount(0);
});
