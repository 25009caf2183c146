import { test as base, expect, type Page } from '@playwright/test';
import { STATIONS, type StationKey } from '../../src/lib/stations/stations.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { SESSION_COOKIE } from '../../src/lib/server/people/sessions.ts';
import { asRole, handOf, inDatabase } from '../../scripts/fresh-shop.ts';
import { freePort, runApp, type RunningApp } from '../../scripts/running-app.ts';
import type { EnteredJoint, JointKind } from '../../src/core/kinds/joint.ts';
import { OBJECTION_ANSWERS } from '../../src/lib/words/objections.ts';
import { must } from '../../scripts/must.ts';
import { entered } from '../support/joints.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { STOCK } from '../../src/lib/words/pages/stock.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { makeDatabase, rolePassword } from '../database/database.ts';

/** The built application on a port and a database of its own. */
export interface App {
  url: string;
  stop: () => Promise<void>;
  start: () => Promise<void>;
  /** another process of the application on the same database; ends with the tests */
  another: (databaseUrl?: string) => Promise<string>;
  /** its database, by the role that it is served by */
  databaseUrl: string;
  /** the same as its owner has it: what no user of the application can do */
  ownerUrl: string;
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
      const made = await makeDatabase('template_demo');
      // served as a shop is: by the role that owns nothing
      const databaseUrl = asRole(made.url, rolePassword());
      const port = await freePort();
      const url = `http://127.0.0.1:${port}`;
      let running: RunningApp | null = null;
      const others: RunningApp[] = [];
      const app: App = {
        url,
        async start() {
          running = await runApp(databaseUrl, port);
        },
        async stop() {
          await running?.stop();
          running = null;
        },
        databaseUrl,
        ownerUrl: made.url,
        async another(servedFrom = databaseUrl) {
          const other = await runApp(servedFrom, await freePort());
          others.push(other);
          return other.url;
        }
      };
      await app.start();
      await use(app);
      for (const other of others) await other.stop();
      await app.stop();
      await made.drop();
    },
    { scope: 'worker' }
  ]
});

export { expect };

/** Gives the browser somebody's session: they have signed in. */
export async function signIn(page: Page, app: App, name = 'Ilse Varnholt'): Promise<void> {
  await page.context().addCookies([{ ...(await sessionOf(app, name)), url: app.url }]);
}

/** A joint's address at a station. */
export const addressOf = (app: App, joint: string, station: StationKey): string =>
  `${app.url}/joints/${joint}/${station}`;

/** The joint that a page is at. */
export const jointOf = (page: Page): string => /joints\/([^/]+)/.exec(page.url())?.[1] ?? '';

/** Goes with the joint that is open to one of its stations, by its address. */
export const goTo = async (page: Page, app: App, station: StationKey): Promise<void> => {
  await page.goto(addressOf(app, jointOf(page), station));
};

/** Makes a joint in job 0318. @returns its id */
export const jointIn0318 = (app: App, title: string, definition: EnteredJoint): Promise<string> =>
  inDatabase(app.databaseUrl, async (database) => {
    const { id } = await database.models.Job.findOne({
      where: { number: '0318' },
      rejectOnEmpty: true
    });
    return must(await addJoint(database, id, title, definition));
  });

/** Makes a lap joint in job 0318 with sheets and width, and opens it at Size. */
export async function makeJoint(
  page: Page,
  app: App,
  title: string,
  [upper, lower, widthIn]: [string, string, string]
): Promise<void> {
  const joint = await jointIn0318(app, title, entered('lap', [upper, lower], { widthIn }));
  await page.goto(addressOf(app, joint, 'size'));
}

/** Begins a joint of a kind in job 0318: its sheets are there, nothing else is filled in; it is open at Size. */
export async function beginJoint(
  page: Page,
  app: App,
  kind: JointKind,
  title: string,
  thick: string[]
): Promise<void> {
  const joint = await jointIn0318(app, title, entered(kind, thick));
  await page.goto(addressOf(app, joint, 'size'));
}

/** A joint of one's own in job 0318, from a definition: for whoever changes it, demo joints being everyone's. */
export async function openOwn(
  page: Page,
  app: App,
  definition: EnteredJoint,
  station: StationKey
): Promise<void> {
  const joint = await jointIn0318(app, 'A joint of its own', definition);
  await page.goto(addressOf(app, joint, station));
}

/** A demo joint that its name fits. @returns its id */
export const demoJoint = (app: App, name: RegExp): Promise<string> =>
  inDatabase(app.databaseUrl, async (database) => {
    const joints = await database.models.Joint.findAll({ order: ['title'] });
    const found = joints.find(({ title }) => name.test(title));
    if (!found) throw new Error(`no joint of the demo is called ${name.source}`);
    return found.id;
  });

/** Opens a demo joint by its name at a station, to look at it. */
export async function openDemo(
  page: Page,
  app: App,
  name: RegExp,
  station: StationKey
): Promise<void> {
  await page.goto(addressOf(app, await demoJoint(app, name), station));
}

/** Puts rivets into stock: by their part number, those driven cold are kept cold. */
export async function receive(
  page: Page,
  app: App,
  [part, lot, count]: [string, string, string]
): Promise<void> {
  await page.goto(`${app.url}/stock`);
  await page.getByRole('textbox', { name: COMMON.partNumber }).fill(part);
  await page.getByRole('textbox', { name: COMMON.lot }).fill(lot);
  await page.getByRole('textbox', { name: STOCK.howMany }).fill(count);
  await page.getByRole('button', { name: STOCK.receiveIntoStock }).click();
  await expect(page.locator(`[data-row*="${lot}"]`)).toContainText(count);
}

/**
 * The first press of a release asks about what is not met, once the steps are counted: of a practice joint nothing of it is
 * needed.
 */
export async function firstPress(page: Page, press: () => Promise<void>): Promise<void> {
  await expect(page.getByRole('navigation', { name: BENCH.stations })).toContainText(/ steps/);
  await press();
  const sheet = page.getByTestId('unmet-sheet');
  await sheet.waitFor();
  for (const answer of await sheet
    .getByText(OBJECTION_ANSWERS['not-needed'], { exact: true })
    .all())
    await answer.click();
  await sheet.getByTestId('log-answers').click();
  await sheet.waitFor({ state: 'detached' });
}

/** The holes of the plan view. */
export const holes = (page: Page) => page.locator('[data-testid="plan-view"] [data-hole]');

/** Opens the demo joint that has a release and some heads checked, at Check. */
export const openDemoLap = (page: Page, app: App): Promise<void> =>
  openDemo(page, app, /Bottom skin lap/, 'inspect');

/** Leaves the field one is typing in and presses a station's number, once the page listens to keys. */
export async function toStation(page: Page, number: number): Promise<void> {
  const station = STATIONS[number - 1];
  await expect(async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press(`Alt+${number}`);
    await expect(page).toHaveURL(new RegExp(`/${station?.key}$`), { timeout: 1000 });
  }).toPass();
}

/** The head that Check asks about. */
export const headNow = (page: Page, hole: number) =>
  page.locator(`[data-testid="head-now"][data-hole="${hole}"]`);

/** Waits until what can be dragged on the drawing can be: nobody has a hand on it as soon as it is drawn. */
export const draggable = (page: Page) =>
  expect(page.locator('[data-drag]:not([data-gestures])')).toHaveCount(0);

/** Waits until the server has acknowledged everything typed. */
export const saved = (page: Page) => page.locator('[data-save="saved"]').waitFor();

/** The figure of one named answer, as text. */
export const figure = (page: Page, label: string) => page.locator(`[data-figure="${label}"]`);

/** Answers how one gets at the rivets, in the open dialog: nothing is answered by itself. */
export async function answerAccess(
  page: Page,
  answers: Partial<Record<'armsReach' | 'faceDown' | 'closedMember', 'yes' | 'no'>>
): Promise<void> {
  for (const [question, answer] of Object.entries({
    ...{ armsReach: 'yes', faceDown: 'no', closedMember: 'no' },
    ...answers
  }))
    await page.getByRole('dialog').getByTestId(`${question}-${answer}`).click();
}
