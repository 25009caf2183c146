import { entered } from '../support/joints.ts';
import { STACK } from '../../src/lib/words/pages/stack.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { READY } from '../../src/lib/words/pages/prepare.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { expect, openDemo, openDemoLap, openOwn, test, toStation } from './app.ts';

const LAP = entered('lap', ['0.040', '0.040'], {
  widthIn: '8',
  dash: 4,
  perInch: '1.6',
  perInchReason: 'test'
});

test('the screen is measured once, and then shows the rivet in its true size', async ({
  page,
  app
}) => {
  await openOwn(page, app, LAP, 'stack-up');
  await page.getByRole('button', { name: STACK.trueSize }).click();
  await expect(page.getByTestId('glass-measure')).toBeVisible();
  const size = page.getByRole('slider', { name: STACK.sizeOnTheScreen });
  await size.focus();
  for (let step = 0; step < 10; step++) await page.keyboard.press('ArrowRight');
  // the drawn card is 85.6 mm long at whatever scale the slider says
  const perInch = Number(
    /[\d.]+/.exec((await size.getAttribute('aria-valuetext')) ?? '')?.[0] ?? NaN
  );
  const card = Number(
    await page.getByTestId('glass-measure').locator('rect').getAttribute('width')
  );
  expect(Math.abs(card - (85.6 / 25.4) * perInch)).toBeLessThan(0.5);
  await page.getByRole('button', { name: STACK.itIsAsLongAs }).click();
  const glass = page.getByTestId('glass');
  await expect(glass).toHaveAttribute('data-px-per-in', new RegExp(`^${perInch.toFixed(0)}`));
  // kept for the next time, on this screen
  await page.reload();
  await page.getByRole('button', { name: STACK.trueSize }).click();
  await page.getByText(COMMON.datumCorner, { exact: true }).last().click();
  await expect(glass.locator('.hole')).not.toHaveCount(0);
});

test('the tray shows each rivet with its drawer and lot', async ({ page, app }) => {
  await openDemo(page, app, /Bottom skin lap/, 'stack-up');
  await page.getByRole('button', { name: STACK.billOfRivets }).click();
  const tray = page.getByTestId('rivet-tray');
  await expect(tray.locator('li')).toHaveCount(1);
  await expect(tray).toContainText('MS20470AD4-4.5');
  await expect(tray).toContainText('Release 55');
  await expect(tray).toContainText(/lot PK-218, 160 in stock/);
});

test('the shadow board keeps what lies on the bench', async ({ page, app }) => {
  await openOwn(page, app, LAP, 'prepare');
  await page.getByRole('button', { name: READY.shadowBoard }).click();
  const board = page.getByTestId('shadow-board');
  await board.getByRole('button', { name: /center punch/ }).click();
  await expect(page.getByText(/^Tools: 1 of \d+ ready$/)).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: READY.shadowBoard }).click();
  await expect(board.getByRole('button', { name: /center punch/ })).toHaveAttribute(
    'aria-pressed',
    'true'
  );
});

test('the reader shows where the mark is, and measures it from the far edge too', async ({
  page,
  app
}) => {
  await openDemo(page, app, /Bottom skin lap/, 'layout');
  await expect(page.getByTestId('plan-view')).toBeVisible();
  await page.keyboard.press('r');
  const reader = page.getByTestId('reader');
  await reader.waitFor();
  await page.keyboard.press(' ');
  await page.keyboard.press(' ');
  await expect(reader.getByTestId('reader-mark')).toContainText('1 1/8');
  // 10 3/4 − 1 1/8
  await expect(reader.getByTestId('reader-back')).toContainText('from the right edge 9.625 in');
  await expect(reader.getByTestId('mini-plan').locator('[data-at]')).toHaveAttribute(
    'data-at',
    '3'
  );
  await reader.getByRole('button', { name: LAYOUT.aToneForEachRow }).click();
  await expect(reader.getByRole('button', { name: LAYOUT.aToneForEachRow })).toHaveAttribute(
    'aria-pressed',
    'true'
  );
});

test('the calipers and the gate say what one should read', async ({ page, app }) => {
  await openDemoLap(page, app);
  await page.locator('[data-testid="hole-map"] [data-hole="20"]').click();
  // 1.3 to 1.75 D of 1/8 in, 0.38 to 0.65 D
  await expect(page.getByTestId('calipers')).toContainText('0.1625 to 7/32 in');
  await expect(page.getByTestId('calipers')).toContainText('0.0475 to 0.0813 in');
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.19');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.07');
  await expect(page.getByTestId('gate-now')).toHaveAttribute('data-inside', 'true');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.095');
  await expect(page.getByTestId('gate-now')).toHaveAttribute('data-inside', 'false');
});

test('a hole that is picked is told, and the drawing is there as a table', async ({
  page,
  app
}) => {
  await openDemo(page, app, /Bottom skin lap/, 'layout');
  await expect(page.getByTestId('plan-view')).toBeVisible();
  await page.keyboard.press(']');
  await expect(page.getByTestId('picked-said')).toHaveText(/^Hole 2, mark .* in$/);
  await page.getByRole('radio', { name: COMMON.table }).check({ force: true });
  const table = page.getByRole('region', { name: 'Holes of row 1' });
  await expect(table.getByRole('row')).toHaveCount(26);
  await table.getByRole('button', { name: '7', exact: true }).click();
  await expect(page.getByTestId('picked-said')).toHaveText(/^Hole 7/);
  await toStation(page, 3);
  // the slider tells height and verdict
  await expect(page.getByRole('slider', { name: STACK.howFarItIsDriven })).toHaveAttribute(
    'aria-valuetext',
    /high, within limits: stop/
  );
});
