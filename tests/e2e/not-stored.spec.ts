import { readFileSync } from 'node:fs';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { expect, openOwn, sessionOf, test } from './app.ts';

test('heads measured without the server, of a release that another took the place of meanwhile, are kept to be read', async ({
  page,
  app,
  browser
}) => {
  test.setTimeout(120_000);
  await page.clock.install();
  await openOwn(page, app, BOTTOM_LAP, 'check');
  await page.getByRole('button', { name: 'Release it and start checking' }).click();
  const diameter = page.getByRole('textbox', { name: 'Diameter' });
  const height = page.getByRole('textbox', { name: 'Height' });
  await expect(page.getByRole('heading', { name: 'Head 1 of 50' })).toBeVisible();
  await page.context().setOffline(true);
  for (const [head, high] of ['0.0612', '0.0623'].entries()) {
    await diameter.fill('0.1905');
    await diameter.press('Enter');
    await height.fill(high);
    await height.press('Enter');
    await expect(page.getByRole('heading', { name: `Head ${head + 2} of 50` })).toBeVisible();
  }

  const lead = await (await browser.newContext()).newPage();
  await lead.context().addCookies([{ ...(await sessionOf(app, 'Runa Halvik')), url: app.url }]);
  const open = async (url: string) => {
    await lead.goto(url);
    await lead.locator('html[data-awake]').waitFor({ state: 'attached' });
  };
  await open(page.url().replace(/check$/, 'lay-out'));
  const save = lead.waitForResponse((answer) => answer.request().method() === 'PUT');
  await lead.getByRole('textbox', { name: 'Edge distance' }).fill('0.41');
  expect((await save).ok()).toBe(true);
  await open(page.url());
  await lead.getByRole('button', { name: /^Release it/ }).click();
  await expect(lead.getByText('Release 2, seen')).toBeVisible();
  await lead.context().close();

  await page.clock.fastForward(40_000);
  await page.context().setOffline(false);
  const not = page.getByRole('status').filter({ hasText: 'could not be taken' });
  await expect(not).toContainText('2 entries', { timeout: 40_000 });
  await page.reload();
  await not.getByRole('link', { name: 'Look at them' }).click();
  const rows = page
    .getByRole('list', { name: 'Entries that are not stored' })
    .getByRole('listitem');
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toContainText('Head 1: 0.1905 in wide, 0.0612 in high');
  await expect(rows.first()).toContainText('Ilse Varnholt');
  await expect(rows.first()).toContainText('release 2 has taken its place');
  await expect(rows.first().getByRole('link', { name: /A joint of its own/ })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take all of it out as a file' }).click()
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    move: { heightIn: number };
  }[];
  expect(file.map(({ move }) => move.heightIn)).toEqual([0.0612, 0.0623]);
  for (let left = 2; left > 0; left--) {
    await rows.first().getByRole('button', { name: 'Let go of it' }).click();
    await rows.first().getByRole('button', { name: 'Yes, it is gone then' }).click();
    await expect(rows).toHaveCount(left - 1);
  }
  await expect(page.getByText('all that was logged on this device is stored')).toBeVisible();
  await expect(not).toHaveCount(0);
});
