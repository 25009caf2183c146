import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { DRIVE } from '../../src/lib/words/pages/drive.ts';
import { expect, firstPress, goTo, openOwn, test } from './app.ts';

test('driving that is logged after the inspection asks when it was', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByTestId('release').click();
  // two heads are inspected before anybody logs driving
  for (const hole of [1, 2]) {
    await expect(page.getByTestId('head-now')).toHaveAttribute('data-hole', String(hole));
    await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.188');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: COMMON.height }).fill('0.063');
    await page.keyboard.press('c');
  }
  await expect(page.getByTestId('stage-inspect')).toContainText('2 of 50 inspected');
  await expect(page.getByTestId('stage-drive')).toContainText('driving not logged');
  // whoever drove a rivet may not inspect it: the rule of the shop asks for another
  await goTo(page, app, 'drive');
  await page.locator('[data-testid="drive-map"] [data-hole="1"]').click();
  await firstPress(page, () => page.getByTestId('driven').click());
  const sheet = page.getByTestId('earlier-sheet');
  await expect(sheet).toContainText('hole 1. Driven before that?');
  await sheet.getByRole('button', { name: DRIVE.logAsEarlier }).click();
  await expect(page.getByTestId('stage-drive')).toContainText('1 of 50 driven');
  await expect(page.getByTestId('stage-inspect')).toContainText('2 of 50 inspected');
  await page.locator('[data-testid="drive-map"] [data-hole="2"]').click();
  await page.getByTestId('driven').click();
  await sheet.getByRole('button', { name: DRIVE.inspectAgain }).click();
  await expect(page.getByTestId('stage-drive')).toContainText('2 of 50 driven');
  await expect(page.getByTestId('stage-inspect')).toContainText('1 of 50 inspected');
  await goTo(page, app, 'inspect');
  await expect(page.getByTestId('due')).toContainText(
    'Hole 2: inspected before its driving was logged'
  );
});
