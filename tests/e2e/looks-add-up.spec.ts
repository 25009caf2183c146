import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { missingInWords } from '../../src/lib/words/heads.ts';
import { expect, openOwn, signIn, test, headNow } from './app.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { RULES } from '../../src/lib/words/pages/rules.ts';
import type { Page } from '@playwright/test';

const hole = (page: Page, number: number) =>
  page.locator(`[data-testid="hole-map"] [data-hole="${number}"]`);
async function measured(page: Page, number: number, diameter: string): Promise<void> {
  await hole(page, number).click();
  await page.getByRole('textbox', { name: COMMON.diameter }).fill(diameter);
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.062');
  await page.getByRole('textbox', { name: COMMON.height }).press('Enter');
  await expect(hole(page, number)).not.toHaveAttribute('data-verdict', /to-do|sending/);
}

test('one measures, another looks from the far side, and the worst of all looks governs until it is voided', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  const address = page.url();
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await measured(page, 1, '0.188');
  await measured(page, 2, '0.190');
  await measured(page, 3, '0.191');
  await expect(hole(page, 2)).toHaveAttribute('data-verdict', 'not-complete');
  await hole(page, 2).click();
  await expect(page.getByTestId('verdict')).toContainText(
    missingInWords(['manufactured', 'sheet'])
  );

  await test.step('Tomas has the far side of the row: all clean but one', async () => {
    await signIn(page, app, 'Tomas Ekbrand');
    await page.goto(address);
    await page.getByText(CHECK.theFarSideManyRivets).click();
    const far = page.getByTestId('far-side');
    await far.getByLabel(CHECK.which).selectOption('1');
    await far.getByTestId('clean-manufactured').click();
    await far.getByTestId('clean-sheet').click();
    await far.getByRole('button', { name: '3', exact: true }).click();
    await far.getByTestId('record-far-side').click();
    await expect(hole(page, 1)).toHaveAttribute('data-verdict', 'accept');
    await expect(hole(page, 2)).toHaveAttribute('data-verdict', 'accept');
    // the one that was tapped is what he looks at now
    await expect(headNow(page, 3)).toBeVisible();
    await expect(hole(page, 3)).toHaveAttribute('data-verdict', 'not-complete');
    // nobody measured it: clean on one side is no good head
    await expect(hole(page, 4)).toHaveAttribute('data-verdict', 'not-complete');
  });

  await test.step('a look finds it too low: a good one after it changes nothing', async () => {
    await page.getByText(CHECK.figures, { exact: true }).click();
    await hole(page, 2).click();
    await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.230');
    await page.getByRole('textbox', { name: COMMON.height }).fill('0.041');
    await page.getByRole('textbox', { name: COMMON.height }).press('Enter');
    await expect(hole(page, 2)).toHaveAttribute('data-verdict', 'replace');
    await hole(page, 2).click();
    await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.190');
    await page.getByRole('textbox', { name: COMMON.height }).fill('0.062');
    await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'replace');
    await expect(page.getByTestId('verdict')).toContainText('Inspection by Tomas Ekbrand governs');
  });

  await test.step('Ilse may not void what he saw; he says why it was false', async () => {
    await signIn(page, app);
    await page.goto(address);
    await hole(page, 2).click();
    const looks = page.getByTestId('head-looks');
    const bad = looks.getByRole('listitem').filter({ hasText: '0.041' });
    const void_ = async () => {
      await bad.getByRole('button', { name: CHECK.void }).click();
      await bad.getByLabel(CHECK.whyItIsFalse).fill('that was head 12');
      await bad.getByRole('button', { name: CHECK.voidThisLook }).click();
    };
    await void_();
    await expect(page.getByText(COMMON.notLogged, { exact: true })).toBeVisible();
    await expect(hole(page, 2)).toHaveAttribute('data-verdict', 'replace');
    await signIn(page, app, 'Tomas Ekbrand');
    await page.goto(address);
    await hole(page, 2).click();
    await void_();
    await expect(bad).toContainText('voided by Tomas Ekbrand: that was head 12');
    await expect(hole(page, 2)).toHaveAttribute('data-verdict', 'accept');
    await page.reload();
    await expect(hole(page, 2)).toHaveAttribute('data-verdict', 'accept');
  });
});

test('a shop says what makes an inspection complete, and a release keeps to what it was made under', async ({
  page,
  app
}) => {
  await signIn(page, app, 'Runa Halvik');
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  // going on before the release is made would take back what asked for it
  await hole(page, 1).waitFor();
  const address = page.url();
  await page.goto(`${app.url}/rules`);
  await page.getByRole('checkbox', { name: /^Manufactured head/ }).uncheck();
  await page.getByRole('checkbox', { name: /^Sheets/ }).uncheck();
  await page.getByLabel(RULES.whatChangedAndWhy).fill('heads only, by QR-31');
  await page.getByTestId('save-version').click();
  await expect(page.getByTestId('saved')).toBeVisible();
  await page.goto(address);
  await measured(page, 1, '0.188');
  await expect(hole(page, 1)).toHaveAttribute('data-verdict', 'not-complete');
});
