import { expect, openOwn, saved, test, headNow } from './app.ts';
import { STACK } from '../../src/lib/words/pages/stack.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { CHECK } from '../../src/lib/words/pages/check.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';

test('heads held against the joint’s own data, measured with a caliper that has a button', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'stack');
  await page.getByRole('radio', { name: STACK.theJointsOwnData }).check({ force: true });
  const sheet = page.getByRole('complementary', { name: LAYOUT.worksheet });
  await expect(sheet.getByTestId('warning-own-heads-unfinished')).toBeVisible();
  const limits = page.getByRole('region', { name: STACK.limitsOfTheHeads });
  await limits.getByLabel(STACK.diameterAtLeast).fill('1.36');
  await limits.getByLabel(STACK.atMost).first().fill('1.62');
  await limits.getByLabel(STACK.heightAtLeast).fill('0.42');
  await limits.getByLabel(STACK.atMost).last().fill('0.6');
  await expect(sheet.getByText('Say in which data they stand')).toBeVisible();
  await limits.getByLabel(STACK.whereDoTheseLimitsStand).fill('drawing R-7, note 3');
  await expect(
    page.getByText('Heads are held against the joint’s own limits: drawing R-7, note 3')
  ).toBeVisible();
  await saved(page);

  await page.keyboard.press('Escape');
  await page.goto(page.url().replace(/stack$/, 'check'));
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await expect(page.getByText('the joint’s own (drawing R-7, note 3)')).toBeVisible();

  const caliper = page.getByTestId('caliper-panel');
  await caliper.getByTestId('caliper').click();
  await expect(caliper).toContainText('a simulated one, for practice');
  await caliper.getByRole('button', { name: CHECK.pressItsButton }).click();
  await expect(page.getByLabel(COMMON.diameter, { exact: true })).not.toHaveValue('');
  await caliper.getByRole('button', { name: CHECK.pressItsButton }).click();
  // after the height it is recorded as by Enter: as practice
  await expect(headNow(page, 2)).toBeVisible();
  await page.getByRole('button', { name: CHECK.holeBack }).click();
  await expect(page.getByTestId('head-looks')).toContainText('which is practice');
});
