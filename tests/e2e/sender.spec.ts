import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import type { APIRequestContext, Browser, Page } from '@playwright/test';
import { expect, goTo, jointOf, openOwn, sessionOf, signIn, test, type App } from './app.ts';
import { DRIVE } from '../../src/lib/words/pages/drive.ts';
import { inDatabase } from '../../scripts/fresh-shop.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';

const NAMES = { mechanic: 'Ilse Varnholt', inspector: 'Tomas Ekbrand', trainee: 'Benn Achterby' };

const rowsIn = <Row extends object>(app: App, sql: string, values: unknown[]): Promise<Row[]> =>
  inDatabase(app.databaseUrl, (database) => rowsOf<Row>(database, sql, values));

/** A browser with somebody signed in on it. */
async function browserOf(browser: Browser, app: App, name: string): Promise<APIRequestContext> {
  const context = await browser.newContext();
  await context.addCookies([{ ...(await sessionOf(app, name)), url: app.url }]);
  expect((await context.request.get(app.url)).ok()).toBe(true);
  return context.request;
}

/** A lap of one's own, released, and everybody's id. */
async function releasedLap(page: Page, app: App) {
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByTestId('release').click();
  await expect(page.getByTestId('release-now')).toBeVisible();
  const joint = jointOf(page);
  const [release] = await rowsIn<{ id: string }>(
    app,
    'select id from joint_issues where joint_id = $1',
    [joint]
  );
  const people = await rowsIn<{ id: string; name: string }>(app, 'select id, name from people', []);
  const idOf = (name: string) => people.find((one) => one.name === name)?.id ?? '';
  return { release, idOf };
}

test('nobody logs in another’s name but from the browser that the other was signed in on', async ({
  page,
  app,
  browser
}) => {
  const { release, idOf } = await releasedLap(page, app);
  let sent = 0;
  const post = (
    from: APIRequestContext,
    stream: 'drive' | 'hole',
    hole: number,
    person: string,
    agoMin = 0
  ) => {
    const stamp = {
      id: `7d1f6e0e-93ad-4d5a-9c3c-${String((sent += 1)).padStart(12, '0')}`,
      at: new Date(Date.now() - agoMin * 60_000).toISOString(),
      person: idOf(person),
      hole
    };
    const move =
      stream === 'drive'
        ? { ...stamp, kind: 'driven', quick: null, batch: null, hands: null, late: '' }
        : { ...stamp, kind: 'eyed', flags: [], clean: ['manufactured', 'sheet'] };
    return from.post(`${app.url}/api/events/${stream}/${release?.id ?? ''}`, {
      data: [move],
      headers: { origin: app.url }
    });
  };
  const mine = page.context().request;

  await test.step('both are signed in elsewhere: what they are to have done is not taken', async () => {
    await browserOf(browser, app, NAMES.trainee);
    await browserOf(browser, app, NAMES.inspector);
    expect((await post(mine, 'drive', 1, NAMES.trainee)).status()).toBe(403);
    expect((await post(mine, 'hole', 1, NAMES.inspector)).status()).toBe(403);
    expect((await post(mine, 'drive', 1, NAMES.mechanic)).status()).toBe(200);
  });

  await test.step('a tablet that changes hands sends what the one before logged there, and says who sent it', async () => {
    await signIn(page, app, NAMES.trainee);
    await goTo(page, app, 'inspect');
    await signIn(page, app, NAMES.mechanic);
    await goTo(page, app, 'inspect');
    expect((await post(mine, 'drive', 2, NAMES.trainee)).status()).toBe(200);
    // before they were here
    expect((await post(mine, 'drive', 3, NAMES.trainee, 90)).status()).toBe(403);
    // a trainee inspects nothing, whoever sends it
    const look = await post(mine, 'hole', 2, NAMES.trainee);
    expect(look.status()).toBe(422);
    expect(await look.text()).toContain(NAMES.trainee);
  });

  const rows = await rowsIn<{ hole: number; by: string; sender: string; device: boolean }>(
    app,
    `select e.hole, p.name as by, s.name as sender, e.device_id is not null as device
     from drive_events e join people p on p.id = e.person_id join people s on s.id = e.sender_id
     where e.subject_id = $1 order by e.seq`,
    [release?.id ?? '']
  );
  expect(rows).toEqual([
    { hole: 1, by: NAMES.mechanic, sender: NAMES.mechanic, device: true },
    { hole: 2, by: NAMES.trainee, sender: NAMES.mechanic, device: true }
  ]);

  await goTo(page, app, 'sign');
  await expect(
    page.getByText(`Entries of ${NAMES.trainee} were sent by ${NAMES.mechanic}`)
  ).toBeVisible();
  await page.goto(`${app.url}/records/${release?.id ?? ''}/2`);
  await expect(page.getByText(`${NAMES.trainee}, sent by ${NAMES.mechanic}`).first()).toBeVisible();

  await test.step('the lists of rivets say it too', async () => {
    await page.goto(`${app.url}/records?person=${idOf(NAMES.trainee)}&did=drove`);
    await expect(page.getByText(`sent by ${NAMES.mechanic}`)).toBeVisible();
    const table = await page.request.get(
      `${app.url}/api/records.csv?person=${idOf(NAMES.trainee)}&did=drove`
    );
    const [head, line] = (await table.text()).trim().split(/\r?\n/);
    const at = head?.split(',').indexOf('sent_by') ?? -1;
    expect(line?.split(',')[at]).toBe(NAMES.mechanic);
  });
});

test('whoever was named at the gun or the bar says so themselves, or stays named only', async ({
  page,
  app
}) => {
  const { release, idOf } = await releasedLap(page, app);
  const tap = (hole: number) => ({
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
    kind: 'driven',
    ...{ hole, quick: null, batch: null, late: '' },
    hands: { gun: idOf(NAMES.mechanic), bar: idOf(NAMES.trainee) }
  });
  const sent = await page
    .context()
    .request.post(`${app.url}/api/events/drive/${release?.id ?? ''}`, {
      data: [tap(1), tap(2)],
      headers: { origin: app.url }
    });
  expect(sent.status()).toBe(200);

  // neither the one who named them nor anybody else can say it for them
  await goTo(page, app, 'drive');
  await expect(page.getByTestId('named-others')).toContainText('1–2');
  await expect(page.getByRole('button', { name: DRIVE.iHeldIt })).toHaveCount(0);
  await goTo(page, app, 'sign');
  const named = page.getByText(`${NAMES.mechanic} named ${NAMES.trainee}`);
  await expect(named).toBeVisible();

  await signIn(page, app, NAMES.trainee);
  await goTo(page, app, 'drive');
  await expect(page.getByTestId('named-mine')).toContainText(NAMES.mechanic);
  await page.getByRole('button', { name: DRIVE.iHeldIt }).click();
  await expect(page.getByTestId('named-mine')).toHaveCount(0);
  await signIn(page, app, NAMES.mechanic);
  await goTo(page, app, 'sign');
  await expect(page.getByTestId('release-now')).toBeVisible();
  await expect(named).toHaveCount(0);
});
