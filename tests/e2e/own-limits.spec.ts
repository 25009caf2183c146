import { expect, openOwn, saved, test, headNow } from './app.ts';
import { STACK } from '../../src/lib/words/pages/stack.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { INSTRUMENTS } from '../../src/lib/words/pages/instruments.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';

test('heads held against the joint’s own data, measured with a caliper that has a button', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'stack-up');
  await page.getByRole('radio', { name: STACK.theJointsOwnData }).check({ force: true });
  const sheet = page.getByRole('complementary', { name: LAYOUT.worksheet });
  await expect(sheet.getByTestId('warning-own-heads-unfinished')).toBeVisible();
  const limits = page.getByRole('region', { name: STACK.limitsOfTheHeads });
  await limits.getByLabel(STACK.diameterAtLeast).fill('1.36');
  await limits.getByLabel(STACK.atMost).first().fill('1.62');
  await limits.getByLabel(STACK.heightAtLeast).fill('0.42');
  await limits.getByLabel(STACK.atMost).last().fill('0.6');
  await expect(sheet.getByText('Enter the source document')).toBeVisible();
  await limits.getByLabel(STACK.whereDoTheseLimitsStand).fill('drawing R-7, note 3');
  await expect(
    page.getByText('Joint-specific head limits in use: drawing R-7, note 3')
  ).toBeVisible();
  await saved(page);

  await page.keyboard.press('Escape');
  await page.goto(page.url().replace(/stack-up$/, 'inspect'));
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await expect(page.getByText('the joint’s own (drawing R-7, note 3)')).toBeVisible();

  const caliper = page.getByTestId('caliper-panel');
  await caliper.getByTestId('caliper-closed').click();
  await expect(caliper).toContainText('a simulated one, for practice');
  await caliper.getByRole('button', { name: CHECK.pressItsButton }).click();
  await expect(page.getByLabel(COMMON.diameter, { exact: true })).not.toHaveValue('');
  await caliper.getByRole('button', { name: CHECK.pressItsButton }).click();
  // after the height it is recorded as by Enter: as practice
  await expect(headNow(page, 2)).toBeVisible();
  await page.getByRole('button', { name: CHECK.holeBack }).click();
  await expect(page.getByTestId('head-looks')).toContainText('which is practice');

  // one’s own, that types what it shows and presses Enter: in millimeters here, and no practice
  await caliper.getByLabel(INSTRUMENTS.whichOne).selectOption({ label: INSTRUMENTS.typesItself });
  await caliper.getByLabel(INSTRUMENTS.shows).selectOption({ label: INSTRUMENTS.millimeters });
  const typed = caliper.getByTestId('caliper-typed');
  await typed.fill('E04');
  await typed.press('Enter');
  await expect(caliper).toContainText(INSTRUMENTS.notAReading('E04'));
  await typed.fill('4.85');
  await typed.press('Enter');
  await expect(page.getByLabel(COMMON.diameter, { exact: true })).toHaveValue('0.19094');
});
