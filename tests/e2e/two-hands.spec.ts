import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { expect, makeJoint, saved, sessionOf, test } from './app.ts';

test('two people at one joint: both changes side by side, one press puts together what does not cross', async ({
  page,
  app,
  browser
}) => {
  await makeJoint(page, app, 'Lap of two hands', ['0.040', '0.050', '6']);
  await saved(page);
  const address = page.url();

  const other = await browser.newContext();
  await other.addCookies([{ ...(await sessionOf(app, 'Runa Halvik')), url: app.url }]);
  const far = await other.newPage();
  await far.goto(address);
  await far.locator('html[data-awake]').waitFor({ state: 'attached' });
  await far.getByTestId('thickness-2').fill('0.063');
  await far.getByTestId('asked-widthIn').fill('7');
  await saved(far);

  // this page has not seen that, and changes the width too, and the first sheet
  await page.getByTestId('thickness-1').fill('0.032');
  await page.getByTestId('asked-widthIn').fill('8 1/2');
  const sheet = page.getByRole('dialog', { name: BENCH.changedInAnotherPlace });
  await expect(sheet).toContainText('Runa Halvik saved this joint');
  const row = (text: string) => sheet.getByRole('row').filter({ hasText: text });
  await expect(row('0.032')).toContainText('0.040');
  await expect(row('0.063')).toContainText('0.050');
  const together = sheet.getByRole('button', { name: BENCH.putBothTogether });
  await expect(together).toBeDisabled();
  await expect(sheet.getByRole('status')).toContainText('choose one');
  await expect(row('8 1/2')).toContainText('both');
  await row('8 1/2').getByRole('radio', { name: '8 1/2' }).check();
  await together.click();

  await expect(page.getByTestId('thickness-1')).toHaveValue('0.032');
  await expect(page.getByTestId('thickness-2')).toHaveValue('0.063');
  await expect(page.getByTestId('asked-widthIn')).toHaveValue('8 1/2');
  await saved(page);
  await far.reload();
  await expect(far.getByTestId('thickness-1')).toHaveValue('0.032');
  await expect(far.getByTestId('thickness-2')).toHaveValue('0.063');
  await expect(far.getByTestId('asked-widthIn')).toHaveValue('8 1/2');
  await other.close();
});

test('two tabs of one person at different things: nothing is asked but one press', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Lap of two tabs', ['0.040', '0.040', '6']);
  await saved(page);
  const tab = await page.context().newPage();
  await tab.goto(page.url());
  await tab.locator('html[data-awake]').waitFor({ state: 'attached' });
  await tab.getByTestId('thickness-1').fill('0.036');
  await saved(tab);
  await page.getByTestId('asked-widthIn').fill('9');
  const sheet = page.getByRole('dialog', { name: BENCH.changedInAnotherPlace });
  await sheet.getByRole('button', { name: BENCH.putBothTogether }).click();
  await saved(page);
  await tab.reload();
  await expect(tab.getByTestId('asked-widthIn')).toHaveValue('9');
  await expect(tab.getByTestId('thickness-1')).toHaveValue('0.036');
});
