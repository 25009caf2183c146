import { expect, openOwn, saved, test } from './app.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';

test('heads held against the joint’s own data, measured with a caliper that has a button', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'stack');
  await page.getByRole('radio', { name: 'The joint’s own data' }).check({ force: true });
  const sheet = page.getByRole('complementary', { name: 'Worksheet' });
  await expect(sheet.getByText('The joint’s own limits of heads are not whole')).toBeVisible();
  const limits = page.getByRole('region', { name: 'Limits of the heads' });
  await limits.getByLabel('Diameter at least').fill('1.36');
  await limits.getByLabel('at most').first().fill('1.62');
  await limits.getByLabel('Height at least').fill('0.42');
  await limits.getByLabel('at most').last().fill('0.6');
  await expect(sheet.getByText('Say in which data they stand')).toBeVisible();
  await limits.getByLabel('Where do these limits stand?').fill('drawing R-7, note 3');
  await expect(
    page.getByText('Heads are held against the joint’s own limits: drawing R-7, note 3')
  ).toBeVisible();
  await saved(page);

  await page.keyboard.press('Escape');
  await page.goto(page.url().replace(/stack$/, 'check'));
  await page.getByRole('button', { name: 'Release it and start checking' }).click();
  await expect(page.getByText('the joint’s own (drawing R-7, note 3)')).toBeVisible();

  const caliper = page.getByTestId('caliper-panel');
  await caliper.getByText('Caliper with a button').click();
  await expect(caliper).toContainText('a simulated one, for practice');
  await caliper.getByRole('button', { name: 'Press its button' }).click();
  await expect(page.getByLabel('Diameter', { exact: true })).not.toHaveValue('');
  await caliper.getByRole('button', { name: 'Press its button' }).click();
  // after the height it is recorded as by Enter: as practice
  await expect(page.getByRole('heading', { name: /^Head 2 of/ })).toBeVisible();
  await page.getByRole('button', { name: 'Hole back' }).click();
  await expect(page.getByTestId('head-looks')).toContainText('which is practice');
});
