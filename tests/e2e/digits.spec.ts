import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { expect, openDemo, openOwn, test } from './app.ts';

test('at Inspect a digit is a diameter, wherever one is; stages are Alt and a digit', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByTestId('release').click();
  const diameter = page.getByRole('textbox', { name: COMMON.diameter });
  // after a release one goes on at once
  await expect(diameter).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(diameter).not.toBeFocused();
  await page.keyboard.type('.19');
  await expect(diameter).toHaveValue('.19');
  await expect(page).toHaveURL(/\/inspect$/);
  await page.keyboard.press('Alt+5');
  await expect(page).toHaveURL(/\/drive$/);
  await page.keyboard.press('Alt+6');
  await expect(page).toHaveURL(/\/inspect$/);
  await expect(diameter).toBeFocused();
});

test('from the top of Inspect to the diameter is one press', async ({ page, app }) => {
  await openDemo(page, app, /Bottom skin lap, bay 9/, 'inspect');
  await expect(page.getByRole('textbox', { name: COMMON.diameter })).toBeFocused();
  // the first that Tab comes to from the top
  const skip = page.locator('a').first();
  await skip.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: COMMON.diameter })).toBeFocused();
});

test('Enter goes on to the field that is still needed', async ({ page, app }) => {
  await openOwn(page, app, { ...BOTTOM_LAP, widthIn: '' }, 'size');
  await page.getByTestId('thickness-1').click();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: /Joint width/ })).toBeFocused();
});
