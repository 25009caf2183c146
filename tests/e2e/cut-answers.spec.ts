import type { Page } from '@playwright/test';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { DRIVE } from '../../src/lib/words/pages/drive.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { STOCK } from '../../src/lib/words/pages/stock.ts';
import { firstPress, expect, openOwn, saved, test, toStation } from './app.ts';

/** The next change of this kind is done by the server, and its answer never comes. @returns how often it was sent */
async function cutAnswer(page: Page, path: string, method: string): Promise<() => number> {
  let sent = 0;
  await page.route(path, async (route) => {
    if (route.request().method() !== method) return route.fallback();
    sent += 1;
    if (sent > 1) return route.continue();
    await route.fetch();
    return route.abort('connectionreset');
  });
  return () => sent;
}

test('what the server did and could not say is not done twice, nor said not to be done', async ({
  page,
  app
}) => {
  await openOwn(page, app, { ...BOTTOM_LAP, alloy: 'DD' }, 'drive');
  const drive = page.url();
  const release = await cutAnswer(page, '**/issues', 'POST');
  const releasing = page.getByRole('button', { name: DRIVE.releaseItAndStartDriving });
  await releasing.click();
  await expect(page.getByText(CHECK.theServerCouldNotBe)).toBeVisible();
  await releasing.click();
  const part = (await page.getByTestId('tap-card').locator('.part').textContent()) ?? '';
  expect(release()).toBe(2);
  await expect(page.getByTestId('release-now')).toHaveAttribute('data-release', '1');

  // rivets come in
  await page.goto(`${app.url}/stock`);
  await page.getByRole('textbox', { name: COMMON.partNumber }).fill(part);
  await page.getByRole('textbox', { name: COMMON.lot }).fill('CUT-1');
  await page.getByRole('textbox', { name: STOCK.howMany }).fill('40');
  const stock = await cutAnswer(page, '**/api/events/stock**', 'POST');
  const receive = page.getByRole('button', { name: STOCK.receiveIntoStock });
  await receive.click();
  await expect(page.getByText('Your input is kept')).toBeVisible();
  await receive.click();
  await expect(page.locator('[data-row*="CUT-1"]')).toContainText('40');
  expect(stock()).toBe(2);

  // some of them out of the cold
  await page.goto(drive);
  await page.getByTestId('out-of-cold-CUT-1').fill('9');
  const out = await cutAnswer(page, '**/api/cold', 'POST');
  const takeOut = page.getByTestId('take-out-CUT-1');
  await takeOut.click();
  await expect(page.getByText(COMMON.theServerCannotBeReached)).toBeVisible();
  await takeOut.click();
  const clocks = page.getByTestId('cold-clocks').locator('p');
  await expect(clocks).toHaveCount(1);
  await expect(clocks).toContainText('9 of 9');
  expect(out()).toBe(2);

  // a rivet of them
  const tap = await cutAnswer(page, '**/api/events/drive/**', 'POST');
  await firstPress(page, () => page.keyboard.press('Space'));
  await expect.poll(tap, { timeout: 15_000 }).toBe(2);
  await expect(page.getByTestId('waits')).toHaveCount(0);
  await expect(clocks).toContainText('8 of 9');
  await page.reload();
  await expect(page.getByTestId('tap-card')).toContainText('1 of 50 driven');

  // what is left over goes away once
  const leftOver = page.getByTestId('left-over-CUT-1');
  await leftOver.fill('3');
  const away = await cutAnswer(page, '**/api/events/cold/**', 'POST');
  const putAway = page.getByTestId('put-away-CUT-1');
  await putAway.click();
  await expect(page.getByText(DRIVE.theServerCannotBeReached)).toBeVisible();
  await putAway.click();
  // the field is empty once the second has been answered
  await expect(leftOver).toHaveValue('');
  await expect(clocks).toContainText('5 of 9');
  expect(away()).toBe(2);
  // none is left out for whoever drives next
  await leftOver.fill('5');
  await putAway.click();
  await expect(clocks).toHaveCount(0);

  // a change of the joint: one’s own save is nobody else’s change
  await toStation(page, 1);
  const save = await cutAnswer(page, '**/api/joints/*', 'PUT');
  await page.getByTestId('asked-widthIn').fill('9 1/2');
  await expect.poll(save, { timeout: 15_000 }).toBe(2);
  await saved(page);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId('asked-widthIn')).toHaveValue('9 1/2');
});
