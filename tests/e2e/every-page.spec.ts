import type { Page } from '@playwright/test';
import { openDatabase } from '../../src/lib/server/db/connect.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { ACCESS_POLICY } from '../../src/lib/server/people/access-policy.ts';
import { STATIONS } from '../../src/lib/stations/stations.ts';
import { expect, openDemoLap, test, type App } from './app.ts';
import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { wrongOn } from './readable.ts';

// A lead sees every page there is.
test.use({ person: 'Runa Halvik' });

/** Not made to be looked at. */
const NO_PAGES = new Set([
  '/health',
  '/ready',
  '/metrics',
  '/bare',
  '/joints/[joint=id]',
  '/who/out'
]);

/** An address for every page, found from the list of doors: a new page cannot be forgotten. */
async function everyPage(app: App): Promise<string[]> {
  const database = openDatabase(app.databaseUrl);
  const one = async (sql: string): Promise<string> =>
    (await rowsOf<{ id: string }>(database, `${sql} limit 1`))[0]?.id ?? 'none';
  const ids: Record<string, string> = {
    job: await one('select id from jobs order by number'),
    joint: await one(
      'select j.id from joints j join joint_issues i on i.joint_id = j.id order by j.title desc'
    ),
    release: await one('select subject_id as id from hole_events order by seq'),
    cage: await one('select cage_id as id from cage_settings order by seq'),
    hole: await one('select hole::text as id from hole_events order by seq'),
    coupon: await one('select id from graded_coupons'),
    station: 'sign'
  };
  const settings: Record<string, string> = {
    '/setups/[cage=id]/[setting=id]': await one('select id from cage_settings order by seq'),
    '/setups/driving/[setting=id]': await one('select id from tool_settings order by seq')
  };
  await database.sequelize.close();
  return Object.entries(ACCESS_POLICY).flatMap(([door, methods]) => {
    if (!methods.GET || door.startsWith('/api/') || NO_PAGES.has(door)) return [];
    const named = { ...ids, setting: settings[door] ?? 'none' };
    const path = door.replace(
      /\[(\w+)(?:=\w+)?\]/g,
      (_, name: keyof typeof named) => named[name] ?? ''
    );
    if (path.includes('none')) return [];
    return door === '/joints/[joint=id]/[station=station]'
      ? STATIONS.map(({ key }) => path.replace(/sign$/, key))
      : [path];
  });
}

/** Twice the size of letters: what is cut off, and whether one must scroll sideways. */
const cutOffAtTwice = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    document.documentElement.style.fontSize = '200%';
    await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
    const found: string[] = [];
    if (document.documentElement.scrollWidth > innerWidth + 1) found.push('the page itself');
    for (const element of document.querySelectorAll<HTMLElement>(
      'button, h1, h2, h3, label, p, th'
    )) {
      const style = getComputedStyle(element);
      const isShown = element.getClientRects().length > 0 && style.visibility !== 'hidden';
      const cuts = style.overflowX !== 'visible' || style.overflowY !== 'visible';
      if (!isShown || !cuts || element.closest('.sr-only')) continue;
      // one line by design: the whole of it stands in its hint
      if (element.dataset['hint'] === (element.textContent ?? '').trim()) continue;
      if (element.scrollWidth > element.clientWidth + 2 && style.overflowX === 'hidden')
        found.push((element.textContent ?? '').trim().slice(0, 60));
    }
    document.documentElement.style.fontSize = '';
    return found;
  });

// as many tests as keep both workers busy to the end, every fourth page each
const PARTS = [0, 1, 2, 3];
test.describe.configure({ mode: 'parallel' });
for (const part of PARTS)
  test(`every page, ${part + 1} of 4: readable and operable by day and by night, and with letters twice as large`, async ({
    page,
    app
  }) => {
    const wrong: string[] = [];
    const pages = await everyPage(app);
    expect(pages.length).toBeGreaterThan(20);
    for (const path of pages.filter((_, at) => at % PARTS.length === part)) {
      const where = path.replace(/[0-9a-f-]{36}/g, '…');
      expect((await page.goto(app.url + path))?.status(), where).toBe(200);
      wrong.push(...(await wrongOn(page, where)));
      wrong.push(...(await cutOffAtTwice(page)).map((what) => `${where} at 200 %: ${what}`));
      await page.getByRole('button', { name: JOBS.night }).click();
      wrong.push(...(await wrongOn(page, `${where} by night`, { colors: true })));
      await page.getByRole('button', { name: JOBS.day }).click();
    }
    expect(wrong).toEqual([]);
  });

test('whoever asks for little motion gets next to none, and focus is always seen', async ({
  page,
  app
}) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(app.url);
  const moving = await page.evaluate(
    () =>
      [...document.querySelectorAll('*')].filter((element) => {
        const { transitionDuration, animationDuration } = getComputedStyle(element);
        return `${transitionDuration},${animationDuration}`
          .split(',')
          .some((time) => parseFloat(time) * (time.includes('ms') ? 1 : 1000) > 20);
      }).length
  );
  expect(moving).toBe(0);
  for (let press = 0; press < 12; press++) {
    await page.keyboard.press('Tab');
    const seen = await page.evaluate(() => {
      const here = document.activeElement;
      if (!here || here === document.body) return 'nothing';
      const { outlineStyle, outlineWidth, boxShadow } = getComputedStyle(here);
      return (outlineStyle !== 'none' && parseFloat(outlineWidth) >= 2) || boxShadow !== 'none'
        ? 'seen'
        : here.outerHTML.slice(0, 120);
    });
    expect(seen).toBe('seen');
  }
});

test('where the system says the colors, what is chosen has an edge', async ({ page, app }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openDemoLap(page, app);
  const edge = (name: string) =>
    page
      .locator('[data-part="item"]', { hasText: name })
      .first()
      .evaluate((item) => getComputedStyle(item).outlineStyle);
  expect([await edge('Measure'), await edge('Gauge plate')]).toEqual(['solid', 'none']);
});
