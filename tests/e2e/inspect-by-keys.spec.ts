import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { expect, openOwn, test, toStation, headNow } from './app.ts';

test('fifty heads by keys only; a figure that cannot be is said where it stands', async ({
  page,
  app
}) => {
  test.setTimeout(120_000);
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).focus();
  await page.keyboard.press('Enter');
  const diameter = page.getByRole('textbox', { name: COMMON.diameter });
  const height = page.getByRole('textbox', { name: COMMON.height });
  await expect(headNow(page, 1)).toBeVisible();
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
  // all three places clean, and recorded: no more keys than a figure alone
  await page.keyboard.press('c');
  await expect(headNow(page, 2)).toBeVisible();
  await expect(diameter).toBeFocused();

  for (let head = 2; head <= 50; head++) {
    await page.keyboard.type((0.18 + (head % 7) / 500).toFixed(3), { delay: 12 });
    await page.keyboard.press('Enter');
    await page.keyboard.type(`.06${head % 4}`, { delay: 12 });
    await page.keyboard.press('c');
    if (head < 50) await expect(headNow(page, head + 1)).toBeVisible();
  }
  await expect(page.locator('[data-testid="hole-map"] [data-verdict="accept"]')).toHaveCount(50);
  await page.reload();
  await expect(page.locator('[data-testid="hole-map"] [data-verdict="accept"]')).toHaveCount(50);
  await toStation(page, 6);
  await expect(page.getByRole('navigation', { name: BENCH.stations })).toContainText(
    '50 of 50 inspected'
  );
});

test('after a bad head one is led outwards from it, at the speed of the keys', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  const record = async (diameter: string, height = '0.062') => {
    await page.getByRole('textbox', { name: COMMON.diameter }).fill(diameter);
    await page.getByRole('textbox', { name: COMMON.height }).fill(height);
    await page.getByRole('textbox', { name: COMMON.height }).press('c');
  };
  await page.locator('[data-testid="hole-map"] [data-hole="20"]').click();
  await record('0.25', '0.041');
  // what is shown is what is due, before the server has answered and after
  for (let looks = 0; looks < 6; looks++) {
    const due = page.getByTestId('due');
    await expect(due).toContainText('near hole 20 in the driving order');
    const next = /Hole (\d+):/.exec((await due.textContent()) ?? '')?.[1] ?? '';
    await expect(headNow(page, Number(next))).toBeVisible();
    await record('0.190');
    await expect(page.locator(`[data-testid="hole-map"] [data-hole="${next}"]`)).toHaveAttribute(
      'data-verdict',
      'accept'
    );
  }
});
