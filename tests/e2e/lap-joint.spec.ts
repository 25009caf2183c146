import { SIZE } from '../../src/lib/words/pages/size.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { expect, figure, makeJoint, saved, test, toStation, headNow } from './app.ts';

test('a lap joint from bare sheets to a judged head, over a restart', async ({ page, app }) => {
  await makeJoint(page, app, 'Keel lap, bay 3', ['0.040', '.040', '10 3/4']);

  await test.step('Carry: 3 t = 0.120 takes dash 4; 6.2 an inch × 10.75 = 66.65, 67 rivets, shear', async () => {
    await expect(figure(page, 'Rivets needed')).toContainText('67');
    await expect(figure(page, 'Rivet')).toContainText('1/8');
    await expect(page.getByText('shear governs').first()).toBeVisible();
  });

  await test.step('a lap joint may take three quarters: 50', async () => {
    await page.getByLabel(SIZE.jointLocationCountFactor).selectOption('single-lap');
    await expect(figure(page, 'Rivets needed')).toContainText('50');
    await page.getByRole('button', { name: 'Arithmetic of Rivets needed' }).click();
    await expect(page.getByTestId('arithmetic').first()).toContainText('⌈6.2 × 10.75 × 0.75⌉');
  });

  await test.step('Lay out: two rows of 25, 10 3/16 between end rivets over 24 spaces', async () => {
    await toStation(page, 2);
    await page.waitForURL(/layout$/);
    await expect(figure(page, 'Holes')).toContainText('50');
    await expect(figure(page, 'Pitch')).toContainText('0.4245');
    await expect(figure(page, 'Edge distance')).toContainText('9/32');
    await expect(page.getByTestId('plan-view')).toContainText('10 3/16 between end rivets');
    await expect(page.locator('[data-testid="plan-view"] [data-hole]')).toHaveCount(50);
    // pitch 0.42448 on 32nds is 7/16; 24 × 7/16 = 10.5, 5/16 long
    await expect(page.getByTestId('stepped-off')).toContainText('5/16 in long');
  });

  await test.step('holes and marks are picked together', async () => {
    await page.locator('[data-testid="plan-view"] [data-hole="4"]').click();
    await expect(page.getByTestId('picked-hole')).toContainText('Hole 4');
    await expect(page.getByTestId('picked-hole')).toContainText('1.5547 in');
    await page.locator('body').press(']');
    await expect(page.getByTestId('picked-hole')).toContainText('Hole 5');
  });

  await test.step('Stack: grip 0.080, -4.5', async () => {
    await toStation(page, 3);
    await expect(figure(page, 'Part number')).toHaveText('MS20470AD4-4.5');
    await expect(figure(page, 'Grip')).toContainText('0.080');
    await expect(figure(page, 'Shop head')).toContainText('0.2218');
    await saved(page);
  });

  await test.step('everything is there after a reload', async () => {
    await page.reload();
    await expect(figure(page, 'Part number')).toHaveText('MS20470AD4-4.5');
    await toStation(page, 1);
    await expect(figure(page, 'Rivets needed')).toContainText('50');
    await expect(page.getByTestId('asked-widthIn')).toHaveValue('10 3/4');
  });

  await test.step('Check: a good head and an under-driven one', async () => {
    await toStation(page, 6);
    await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
    await page.locator('[data-testid="hole-map"] [data-hole="2"]').click();
    const diameter = page.getByRole('textbox', { name: COMMON.diameter });
    const height = page.getByRole('textbox', { name: COMMON.height });
    await diameter.fill('0.190');
    await diameter.press('Enter');
    await height.fill('.062');
    await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'not-complete');
    await height.press('c');
    await expect(page.locator('[data-hole="2"][data-verdict="accept"]')).toBeVisible();

    // Enter went on to the next hole
    await expect(headNow(page, 3)).toBeVisible();
    await diameter.fill('0.161');
    await height.fill('0.092');
    const verdict = page.getByTestId('verdict');
    await expect(verdict).toHaveAttribute('data-verdict', 'drive-more');
    await expect(verdict).toContainText(/0\.161.* wide \(1\.29 D\), minimum .* \(1\.30 D\)/);
    await page.getByTestId('record').click();
    await expect(page.locator('[data-hole="3"][data-verdict="drive-more"]')).toBeVisible();
  });

  await test.step('the verdicts are there after the server was stopped and started', async () => {
    await app.stop();
    await app.start();
    await page.reload();
    await expect(page.locator('[data-hole="2"][data-verdict="accept"]')).toBeVisible();
    await page.locator('[data-testid="hole-map"] [data-hole="3"]').click();
    await expect(page.getByTestId('head-looks')).toContainText('Ilse Varnholt');
    await expect(page.getByTestId('last-reading')).toContainText('0.161');
    await page.goto(app.url);
    await expect(page.locator('a.joint', { hasText: 'Keel lap, bay 3' }).first()).toContainText(
      /1\s+(to )?drive further/
    );
  });
});
