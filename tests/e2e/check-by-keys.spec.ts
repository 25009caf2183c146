import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { expect, openOwn, signIn, test, toStation } from './app.ts';

test('fifty heads by keys only; a figure that cannot be is said where it stands', async ({
  page,
  app
}) => {
  test.setTimeout(120_000);
  await signIn(page, app);
  await openOwn(page, app, BOTTOM_LAP, 'check');
  await page.getByRole('button', { name: 'Release it and start checking' }).focus();
  await page.keyboard.press('Enter');
  const diameter = page.getByRole('textbox', { name: 'Diameter' });
  const height = page.getByRole('textbox', { name: 'Height' });
  await expect(page.getByRole('heading', { name: 'Head 1 of 50' })).toBeVisible();
  await diameter.focus();

  // Enter in an empty field says so and stays
  await page.keyboard.press('Enter');
  await expect(diameter).toBeFocused();
  await expect(page.getByText('needed', { exact: true })).toBeVisible();
  // two readings in one field: judged by itself, before there is a height
  await page.keyboard.type('0.190.062');
  await page.keyboard.press('Enter');
  await expect(diameter).toBeFocused();
  await expect(diameter).toHaveAttribute('aria-invalid', 'true');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('0.190');
  await page.keyboard.press('Enter');
  await expect(height).toBeFocused();
  // a height that no head has
  await page.keyboard.type('0.62');
  await page.keyboard.press('Enter');
  await expect(height).toBeFocused();
  await expect(height).toHaveAttribute('aria-invalid', 'true');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('0.062');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Head 2 of 50' })).toBeVisible();
  await expect(diameter).toBeFocused();

  for (let head = 2; head <= 50; head++) {
    await page.keyboard.type((0.18 + (head % 7) / 500).toFixed(3), { delay: 12 });
    await page.keyboard.press('Enter');
    await page.keyboard.type(`.06${head % 4}`, { delay: 12 });
    await page.keyboard.press('Enter');
    if (head < 50)
      await expect(page.getByRole('heading', { name: `Head ${head + 1} of 50` })).toBeVisible();
  }
  await expect(page.locator('[data-testid="hole-map"] [data-verdict="accept"]')).toHaveCount(50);
  await page.reload();
  await expect(page.locator('[data-testid="hole-map"] [data-verdict="accept"]')).toHaveCount(50);
  await toStation(page, 6);
  await expect(page.getByRole('navigation', { name: 'Stations' })).toContainText(
    '50 of 50 looked at'
  );
});
