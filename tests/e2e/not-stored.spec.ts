import { readFileSync } from 'node:fs';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { WAITING } from '../../src/lib/words/pages/waiting.ts';
import { expect, openOwn, sessionOf, test, headNow } from './app.ts';

test('heads measured without the server, of a release that another took the place of meanwhile, are kept to be read', async ({
  page,
  app,
  browser
}) => {
  test.setTimeout(120_000);
  await page.clock.install();
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  const diameter = page.getByRole('textbox', { name: COMMON.diameter });
  const height = page.getByRole('textbox', { name: COMMON.height });
  await expect(headNow(page, 1)).toBeVisible();
  await page.context().setOffline(true);
  for (const [head, high] of ['0.0612', '0.0623'].entries()) {
    await diameter.fill('0.1905');
    await diameter.press('Enter');
    await height.fill(high);
    await height.press('Enter');
    await expect(headNow(page, head + 2)).toBeVisible();
  }

  const lead = await (await browser.newContext()).newPage();
  await lead.context().addCookies([{ ...(await sessionOf(app, 'Runa Halvik')), url: app.url }]);
  const open = async (url: string) => {
    await lead.goto(url);
    await lead.locator('html[data-awake]').waitFor({ state: 'attached' });
  };
  await open(page.url().replace(/inspect$/, 'layout'));
  const save = lead.waitForResponse((answer) => answer.request().method() === 'PUT');
  await lead.getByTestId('asked-edgeIn').fill('0.41');
  expect((await save).ok()).toBe(true);
  await open(page.url());
  await lead.getByTestId('release').click();
  await expect(lead.getByTestId('release-now')).toHaveAttribute('data-release', '2');
  await lead.context().close();

  await page.clock.fastForward(40_000);
  await page.context().setOffline(false);
  const not = page.getByRole('status').filter({ hasText: WAITING.loggedOnThisDeviceCould });
  await expect(not).toContainText('2 entries', { timeout: 40_000 });
  await page.reload();
  await not.getByRole('link', { name: 'Review them' }).click();
  const rows = page
    .getByRole('list', { name: WAITING.entriesThatAreNotStored })
    .getByRole('listitem');
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toContainText('Head 1, measured: 0.1905 in wide, 0.0612 in high');
  await expect(rows.first()).toContainText('Ilse Varnholt');
  await expect(rows.first()).toContainText('release 2 has taken its place');
  await expect(rows.first().getByRole('link', { name: /A joint of its own/ })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: WAITING.takeAllOfItOut }).click()
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    move: { heightIn: number };
  }[];
  expect(file.map(({ move }) => move.heightIn)).toEqual([0.0612, 0.0623]);
  for (let left = 2; left > 0; left--) {
    await rows.first().getByRole('button', { name: WAITING.letGoOfIt }).click();
    await rows.first().getByRole('button', { name: WAITING.yesItIsGoneThen }).click();
    await expect(rows).toHaveCount(left - 1);
  }
  await expect(page.getByText(WAITING.nothingAllThatWasLogged)).toBeVisible();
  await expect(not).toHaveCount(0);
});
