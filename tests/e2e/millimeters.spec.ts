import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { SIZE } from '../../src/lib/words/pages/size.ts';
import { expect, openDemo, test, toStation } from './app.ts';

test('in millimeters a bare figure gets its unit, what was stored bare stays inches, and a slip is asked about', async ({
  page,
  app
}) => {
  await openDemo(page, app, /Frame 11 flange/, 'size');
  const thick = page.getByLabel('Thickness of sheet 1');
  await expect(thick).toHaveValue('0.032');
  await page.getByText(LAYOUT.mm, { exact: true }).first().click();
  // stored bare it is inches, for whoever reads it
  await expect(thick).toHaveValue('0.032 in');

  await page.goto(app.url);
  await page.getByRole('button', { name: JOBS.practiceJoint }).click();
  await page.waitForURL(/\/joints\//);
  await thick.fill('1.2');
  await expect(thick).toHaveValue('1.2');
  await expect(page.getByText('· 1.2 mm').first()).toBeVisible();
  await page.getByLabel('Thickness of sheet 2').fill('9mm');
  await expect(thick).toHaveValue('1.2 mm');
  await expect(page.getByText('Was 0.9 mm meant?').first()).toBeVisible();
  await page.getByRole('button', { name: 'Use 0.9 mm' }).first().click();
  await expect(page.getByLabel('Thickness of sheet 2')).toHaveValue('0.9 mm');
  await page.getByTestId('asked-widthIn').fill('200');
  await page.getByLabel(SIZE.jointLocationCountFactor).selectOption('intermediate-frame');
  await toStation(page, 2);
  await expect(page.getByLabel(LAYOUT.ruler, { exact: true })).toHaveValue('1mm');
  await page.getByText('1/64', { exact: true }).first().click();
  await toStation(page, 1);
  // somebody who works in inches reads the same joint
  await expect(thick).toHaveValue('1.2 mm');
  await expect(page.getByTestId('asked-widthIn')).toHaveValue('200 mm');
});
