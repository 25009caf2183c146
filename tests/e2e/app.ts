import { randomBytes } from 'node:crypto';
import { test as base, expect, type Page } from '@playwright/test';
import { STATIONS } from '../../src/lib/stations/stations.ts';
import { openDatabase } from '../../src/lib/server/db/connect.ts';
import { APPLICATION_ROLE, letApplicationIn } from '../../src/lib/server/db/application-role.ts';
import { migrate } from '../../src/lib/server/db/migrate.ts';
import { SESSION_COOKIE } from '../../src/lib/server/people/sessions.ts';
import { handOf, inDatabase } from '../../scripts/fresh-shop.ts';
import { freePort, runApp, type RunningApp } from '../../scripts/running-app.ts';
import { seedDemoData } from '../../scripts/demo-data.ts';
import { jointFile } from '../../src/core/exchange/joint-file.ts';
import type { EnteredJoint } from '../../src/core/kinds/joint.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { makeDatabase } from '../database/database.ts';

/** The built application on a port and a database of its own. */
export interface App {
  url: string;
  stop: () => Promise<void>;
  start: () => Promise<void>;
  /** another process of the application on the same database; ends with the tests */
  another: (databaseUrl?: string) => Promise<string>;
  /** its database, by the role that it is served by */
  databaseUrl: string;
}

/**
 * The session of somebody of the demo, as a browser is given it. Not by the door: of sign-ins an address has so many a
 * minute, and a quick machine comes by more often.
 */
export async function sessionOf(app: App, name: string): Promise<{ name: string; value: string }> {
  const { headers } = await inDatabase(app.databaseUrl, (database) =>
    handOf(database, app.url, name)
  );
  return { name: SESSION_COOKIE, value: headers['cookie']?.replace(/^[^=]+=/, '') ?? '' };
}

/** Who is at the bench when a test begins; null: nobody has said so. */
interface Here {
  person: string | null;
}

export const test = base.extend<Here, { app: App }>({
  person: ['Ilse Varnholt', { option: true }],

  /** Whoever opens a page waits until it listens, as a person would: a click before that is lost. */
  page: async ({ page, app, person }, use) => {
    if (person !== null)
      await page.context().addCookies([{ ...(await sessionOf(app, person)), url: app.url }]);
    const awake = () => page.locator('html[data-awake]').waitFor({ state: 'attached' });
    const goto = page.goto.bind(page);
    page.goto = async (...to) => {
      const response = await goto(...to);
      await awake();
      return response;
    };
    const reload = page.reload.bind(page);
    page.reload = async (...how) => {
      const response = await reload(...how);
      await awake();
      return response;
    };
    await use(page);
  },
  app: [
    // Playwright reads the fixture's needs off this pattern, even when there are none.
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const { url: databaseUrl, drop } = await makeDatabase();
      const database = openDatabase(databaseUrl);
      await migrate(database);
      await seedDemoData(database);
      // served as a shop is: by the role that owns nothing
      const password = randomBytes(16).toString('hex');
      await letApplicationIn(database, password);
      const asRole = new URL(databaseUrl);
      asRole.username = APPLICATION_ROLE;
      asRole.password = password;
      await database.sequelize.close();

      const port = await freePort();
      const url = `http://127.0.0.1:${port}`;
      let running: RunningApp | null = null;
      const others: RunningApp[] = [];
      const app: App = {
        url,
        async start() {
          running = await runApp(asRole.href, port);
        },
        async stop() {
          await running?.stop();
          running = null;
        },
        databaseUrl: asRole.href,
        async another(databaseUrl = asRole.href) {
          const other = await runApp(databaseUrl, await freePort());
          others.push(other);
          return other.url;
        }
      };
      await app.start();
      await use(app);
      for (const other of others) await other.stop();
      await app.stop();
      await drop();
    },
    { scope: 'worker' }
  ]
});

export { expect };

/** Says who is at the bench. */
export async function signIn(page: Page, app: App, name = 'Ilse Varnholt'): Promise<void> {
  await page.goto(`${app.url}/who`);
  await page.getByRole('button', { name }).click();
  await page.waitForURL(`${app.url}/`);
}

/** Makes a joint in job 0318 and fills in sheets and width. */
export async function makeJoint(
  page: Page,
  app: App,
  title: string,
  [upper, lower, width]: [string, string, string]
): Promise<void> {
  await page.goto(app.url);
  await page.getByRole('link', { name: /^0318/ }).click();
  await page.getByLabel('New lap joint').fill(title);
  await page.getByRole('button', { name: 'Start joint' }).click();
  await page.waitForURL(/\/carry$/);
  await page.getByLabel('Thickness of sheet 1').fill(upper);
  await page.getByLabel('Thickness of sheet 2').fill(lower);
  await page.getByLabel('Joint width').fill(width);
}

/** Begins a joint of a kind in job 0318: Carry is open, nothing filled in. */
export async function beginJoint(
  page: Page,
  app: App,
  kind: string,
  title: string,
  thick: string[]
): Promise<void> {
  await page.goto(app.url);
  await page.getByRole('link', { name: /^0318/ }).click();
  await page.locator('.kinds').getByText(kind, { exact: true }).click();
  await page.getByLabel(`New ${kind}`).fill(title);
  await page.getByRole('button', { name: 'Start joint' }).click();
  await page.waitForURL(/\/carry$/);
  for (const [index, thickness] of thick.entries())
    await page.getByLabel(`Thickness of sheet ${index + 1}`).fill(thickness);
}

/** A joint of one's own in job 0318, from a definition: for whoever changes it, demo joints being everyone's. */
export async function openOwn(
  page: Page,
  app: App,
  definition: EnteredJoint,
  station: string
): Promise<void> {
  await page.goto(app.url);
  await page.getByRole('link', { name: /^0318/ }).click();
  const file = jointFile('A joint of its own', definition, DEFAULT_PROFILE);
  await page.locator('input[name=file]').setInputFiles({
    name: 'own.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file))
  });
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.waitForURL(/\/carry$/);
  await page.goto(page.url().replace(/carry$/, station));
}

/** Opens a demo joint by its name at a station, to look at it. */
export async function openDemo(page: Page, app: App, name: RegExp, station: string): Promise<void> {
  await page.goto(app.url);
  const link = page.getByRole('link', { name }).first();
  const id = /joints\/([^/]+)/.exec((await link.getAttribute('href')) ?? '')?.[1] ?? '';
  await page.goto(`${app.url}/joints/${id}/${station}`);
}

/** Puts rivets into stock: by their part number, those driven cold are kept cold. */
export async function receive(
  page: Page,
  app: App,
  [part, lot, count]: [string, string, string]
): Promise<void> {
  await page.goto(`${app.url}/stock`);
  await page.getByRole('textbox', { name: 'Part number' }).fill(part);
  await page.getByRole('textbox', { name: 'Lot' }).fill(lot);
  await page.getByRole('textbox', { name: 'How many' }).fill(count);
  await page.getByRole('button', { name: 'Receive into stock' }).click();
  await expect(page.locator(`[data-row*="${lot}"]`)).toContainText(count);
}

/** The holes of the plan view. */
export const holes = (page: Page) => page.locator('[data-testid="plan-view"] [data-hole]');

/** Opens the demo joint that has an issue and some heads checked, at Check. */
export const openDemoLap = (page: Page, app: App): Promise<void> =>
  openDemo(page, app, /Bottom skin lap/, 'check');

/** Leaves the field one is typing in and presses a station's number, once the page listens to keys. */
export async function toStation(page: Page, number: number): Promise<void> {
  const station = STATIONS[number - 1];
  await expect(async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press(String(number));
    await expect(page).toHaveURL(new RegExp(`/${station?.key}$`), { timeout: 1000 });
  }).toPass();
}

/** Waits until the server has acknowledged everything typed. */
export const saved = (page: Page) => page.locator('[data-save="saved"]').waitFor();

/** The figure of one named answer, as text. */
export const figure = (page: Page, label: string) => page.locator(`[data-figure="${label}"]`);
