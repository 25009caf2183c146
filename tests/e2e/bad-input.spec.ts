import { COMMON } from '../../src/lib/words/pages/common.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { expect, figure, makeJoint, openDemoLap, saved, test, toStation } from './app.ts';

test('a slipped decimal is asked about, kept as typed, and mended with one tap', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Slipped', ['0.32', '0.040', '6']);
  await expect(
    page.getByText(/Check the decimal point. Was 0\.032 in meant\?/).first()
  ).toBeVisible();
  await expect(figure(page, 'Rivets needed')).toHaveText('–');
  await saved(page);
  await page.reload();
  await expect(page.getByTestId('thickness-1')).toHaveValue('0.32');
  await page.getByRole('button', { name: 'Use 0.032 in' }).click();
  await expect(page.getByTestId('thickness-1')).toHaveValue('0.032');
  await expect(figure(page, 'Rivets needed')).toBeVisible();
});

test('an impossible joint names its limit and offers what would work', async ({ page, app }) => {
  await makeJoint(page, app, 'Impossible', ['0.032', '0.032', '5']);
  await page.getByText('8', { exact: true }).last().click();
  await expect(page.getByRole('region', { name: COMMON.answers }).getByRole('alert')).toContainText(
    'a dash 8 rivet is too large for a 0.032 in sheet: the guidance starts at 0.036 in'
  );
  // the largest that works first
  await page.getByTestId('way-size').first().click();
  // 1/(1.6 × 0.191) = 3.27 → 3.3 an inch × 5 = 16.5 → 17
  await expect(figure(page, 'Rivets needed')).toContainText('17');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: COMMON.answers }).getByRole('alert')).toContainText(
    'dash 8'
  );
});

test('lengths are understood as typed and shown in the style of choice', async ({ page, app }) => {
  await makeJoint(page, app, 'Metric', ['1mm', '32 thou', '150 mm']);
  await expect(page.getByText('= 0.03937 in · 1.0 mm')).toBeVisible();
  await expect(page.getByText('= 5.905512 in · 150.0 mm')).toBeVisible();
  await toStation(page, 2);
  await page.getByText(LAYOUT.mm, { exact: true }).first().click();
  await expect(page.getByTestId('plan-view')).toContainText('150.0 mm');
  await page.reload();
  await expect(page.getByTestId('plan-view')).toContainText('150.0 mm');
});

test('of two tabs the second is refused, told what changed, and loses nothing', async ({
  page,
  app,
  context
}) => {
  await makeJoint(page, app, 'Two tabs', ['0.040', '0.040', '8']);
  await saved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await other.locator('html[data-awake]').waitFor({ state: 'attached' });
  await other.getByTestId('asked-widthIn').fill('9');
  await saved(other);

  await page.getByTestId('thickness-2').fill('0.050');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Ilse Varnholt');
  await expect(dialog.getByRole('row', { name: 'joint width 8 – 9' })).toBeVisible();
  await expect(page.getByTestId('thickness-2')).toHaveValue('0.050');
  await other.reload();
  await expect(other.getByTestId('thickness-2')).toHaveValue('0.040');
  await expect(other.getByTestId('asked-widthIn')).toHaveValue('9');

  // what is not saved is not released either
  await dialog.getByRole('button', { name: COMMON.close }).click();
  await page.getByTestId('stage-inspect').click();
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await expect(page.getByRole('alert')).toContainText(CHECK.whatIsTypedHereIs);
  await page.getByTestId('stage-size').click();
  await page.getByRole('button', { name: BENCH.changedElsewhereDecide }).click();

  await dialog.getByRole('button', { name: BENCH.saveMineOnTopOf }).click();
  await saved(page);
  await other.reload();
  await expect(other.getByTestId('thickness-2')).toHaveValue('0.050');
});

test('typing and readings outlive a dead server', async ({ page, app }) => {
  await makeJoint(page, app, 'Dead server', ['0.040', '0.040', '5']);
  await saved(page);
  await toStation(page, 6);
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await expect(page.getByTestId('hole-map')).toBeVisible();
  await app.stop();

  await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.187');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.062');
  await page.getByRole('textbox', { name: COMMON.height }).press('c');
  await expect(page.getByText(CHECK.notRecordedYetNoServer)).toBeVisible();
  await toStation(page, 1);
  await page.getByTestId('asked-widthIn').fill('5 1/2');
  await expect(page.locator('[data-save="waiting"]')).toBeVisible();

  await app.start();
  await saved(page);
  await page.reload();
  await expect(page.getByTestId('asked-widthIn')).toHaveValue('5 1/2');
  await toStation(page, 6);
  await expect(page.locator('[data-hole="1"][data-verdict="accept"]')).toBeVisible();
});

test('a reading that cannot be is not recorded', async ({ page, app }) => {
  await openDemoLap(page, app);
  await page.locator('[data-testid="hole-map"] [data-hole="20"]').click();
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('1.87');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.062');
  await expect(page.getByText(/14\.96 D wide.*Check the decimal point/)).toBeVisible();
  await expect(page.getByTestId('record')).toBeDisabled();
});
