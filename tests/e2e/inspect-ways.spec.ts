import { expect, openOwn, test, headNow } from './app.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { BOTTOM_LAP, FLUSH_LAP } from '../../scripts/demo-data.ts';

test('a plate is made, kept as the shop’s, and heads are held against it by keys', async ({
  page,
  app
}) => {
  await page.goto(`${app.url}/gauge`);
  for (const size of ['3', '5', '6'])
    await page.getByRole('button', { name: size, exact: true }).click();
  const measured = async (low: string) => {
    await page.getByTestId('measured-no-go-4').fill(low);
    // 1.75 D, 0.65 D, 0.38 D and 1.5 D of 1/8
    await page.getByTestId('measured-go-4').fill('0.2185');
    await page.getByTestId('measured-high-4').fill('0.081');
    await page.getByTestId('measured-low-4').fill('0.0485');
    await page.getByTestId('measured-shank-4').fill('0.1875');
  };
  // 1.3 D is 0.1625: with a smaller hole a head that is too narrow would pass
  await measured('0.1615');
  const plates = page.getByTestId('shop-plates');
  await expect(page.locator('[data-feature="no-go-4"]')).toContainText('0.1625');
  await expect(page.locator('[data-feature="no-go-4"]')).toContainText('too small: open it up');
  await expect(plates.getByLabel(CHECK.nameWrittenOnIt)).toHaveCount(0);
  await page.getByTestId('measured-no-go-4').fill('0.1635');
  await plates.getByLabel(CHECK.nameWrittenOnIt).fill('plate 7');
  await plates.getByRole('button', { name: CHECK.keepItAsTheShops }).click();
  await expect(plates.locator('[data-plate="plate 7"]')).toContainText('re-measure in 180 days');

  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await expect(headNow(page, 1)).toBeVisible();
  await page.getByText(COMMON.gaugePlate, { exact: true }).click();
  // the shop has one already
  await expect(page.getByTestId('plate-asks')).toContainText('0.1632');
  await page.getByLabel('Plate', { exact: true }).selectOption('plate 7');
  await expect(page.getByTestId('plate-asks')).toContainText('0.1635');
  await headNow(page, 1).click();
  // not over it, not on the sheet; the upper hole goes over, the upper notch touches
  for (const key of ['n', 'n', 'y', 'y']) await page.keyboard.press(key);
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'not-complete');
  await page.keyboard.press('c');
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'accept');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-testid="hole-map"] [data-hole="1"]')).toHaveAttribute(
    'data-verdict',
    'accept'
  );
  // the next one enters the lower hole and touches: lower than the notch, but the plate does not tell everything
  await expect(headNow(page, 2)).toBeVisible();
  for (const key of ['y', 'y']) await page.keyboard.press(key);
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'measure');
  await expect(page.getByText('Do not replace the rivet on this reading alone.')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-testid="hole-map"] [data-hole="2"]')).toHaveAttribute(
    'data-verdict',
    'measure'
  );
  // it is what comes next, since nobody knows
  await expect(page.getByTestId('due')).toContainText('Hole 2: last inspection inconclusive');
});

test('by eye one condemns, flushness is felt with a slip, a mirror’s reading may have to be taken again', async ({
  page,
  app
}) => {
  await openOwn(page, app, FLUSH_LAP, 'inspect');
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await page.getByText(CHECK.byEye, { exact: true }).click();
  const smile = page.getByTestId('seen-smile');
  // 0.002 in for each 1/8 in of D: dash 5, 0.0025; told before one presses
  await expect(smile).toContainText(/up to .*0\.0025.* blend out; deeper: replace|up to 0\.0025/);
  await expect(page.getByTestId('verdict')).toHaveCount(0);
  await smile.click();
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'replace');
  await page.getByTestId('record').click();
  await expect(page.locator('[data-testid="hole-map"] [data-hole="1"]')).toHaveAttribute(
    'data-verdict',
    'replace'
  );
  // the head beside it is looked at now
  await expect(headNow(page, 2)).toBeVisible();
  await expect(page.getByTestId('due')).toContainText('near hole 1 in the driving order');

  await page.getByText(CHECK.figures, { exact: true }).click();
  const typed = async (diameter: string, height: string) => {
    await page.getByRole('textbox', { name: COMMON.diameter }).fill(diameter);
    await page.getByRole('textbox', { name: COMMON.height }).fill(height);
  };
  // dash 5: 1.3 D is 0.2031
  await typed('0.208', '0.078');
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'not-complete');
  await page.getByText('Read by calipers on the head').click();
  await page.getByLabel(CHECK.theFiguresWereRead).selectOption('mirror');
  await page.getByLabel(CHECK.eitherMayBeOffBy).fill('0.010');
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'measure');
  await expect(page.getByTestId('verdict')).toContainText('side of the limit');
  await page.getByLabel(CHECK.eitherMayBeOffBy).fill('0.002');
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'not-complete');

  await page.getByText(/^Flushness/).click();
  await page.getByText('catches', { exact: true }).click();
  // a head that catches a slip of 0.003 stands prouder than the 0.002 that is allowed
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'replace');
  await expect(page.getByTestId('verdict')).toContainText('head high');
});
