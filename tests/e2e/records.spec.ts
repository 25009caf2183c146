import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { RECORDS } from '../../src/lib/words/pages/records.ts';
import { RESULT_NAMES } from '../../src/lib/words/results.ts';
import { DRIVE } from '../../src/lib/words/pages/drive.ts';
import { firstPress, expect, openDemo, test } from './app.ts';

test('a bad head is found in the records, and its hole tells its story', async ({ page, app }) => {
  await page.goto(`${app.url}/records`);
  await page.getByLabel(COMMON.lot, { exact: true }).fill('K-2207');
  await page.getByRole('combobox', { name: COMMON.found }).selectOption('over-driven');
  await page.getByRole('button', { name: COMMON.find }).click();
  await expect(page.getByTestId('counted')).toHaveText('1 of 1 rivets on record');
  const row = page.getByRole('table', { name: RECORDS.rivetsOnRecord }).locator('tbody tr');
  await expect(row).toHaveCount(1);
  await expect(row).toContainText('Tip float, closing strip');
  await expect(row).toContainText(RECORDS.takenOutSince);
  await expect(row).toContainText(RESULT_NAMES.replace);
  // what was asked still stands in the fields
  await expect(page.getByLabel(COMMON.lot, { exact: true })).toHaveValue('K-2207');

  await row.getByRole('link', { name: /Tip float/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'of Tip float, closing strip'
  );
  const rivets = page.getByRole('table', { name: RECORDS.rivetsOfThisHole }).locator('tbody tr');
  await expect(rivets).toHaveCount(2);
  await expect(rivets.first()).toContainText('K-2207');
  await expect(rivets.last()).toContainText(RECORDS.itIsIn);
  await expect(page.getByTestId('history').locator('li')).toHaveCount(6);
  await expect(page.getByTestId('history')).toContainText('removed (a size under the shank');
});

test('what is asked goes from view to view, sorts, and leaves as a table', async ({
  page,
  app
}) => {
  await page.goto(`${app.url}/records?joint=tip+float`);
  await page.getByRole('link', { name: COMMON.diameter }).click();
  const table = page.getByRole('table', { name: RECORDS.rivetsOnRecord });
  await expect(table.getByRole('columnheader', { name: /Diameter/ })).toHaveAttribute(
    'aria-sort',
    'descending'
  );
  const wide = async () =>
    (await table.locator('tbody tr td:nth-child(3)').allTextContents()).map((text) =>
      Number.parseFloat(text)
    );
  const widest = await wide();
  expect(widest).toEqual([...widest].sort((a, b) => b - a));
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: COMMON.asATableCSV }).click()
  ]);
  const { data } = Papa.parse<Record<string, string>>(
    readFileSync(await download.path(), 'utf8').trim(),
    { header: true }
  );
  expect(data.map((line) => Number(line['diameter_D']).toFixed(2))).toEqual(
    widest.map((value) => value.toFixed(2))
  );

  await page.getByRole('link', { name: RECORDS.releases }).click();
  const releases = page.getByRole('table', { name: RECORDS.releases }).locator('tbody tr');
  await expect(releases).toHaveCount(1);
  await expect(releases).toContainText('Tip float, closing strip');

  await page.getByRole('link', { name: RECORDS.findingsByWeek }).click();
  await expect(page.getByRole('heading', { level: 2 })).toContainText(RECORDS.anythingButGood);
  // by person is for whoever leads the shop
  await expect(page.getByRole('link', { name: RECORDS.byWhoDrove })).toHaveCount(0);
  await page.goto(`${app.url}/records/trend?by=all`);
  await expect(page.getByRole('img', { name: /^All heads/ })).toBeVisible();
  // asked by person, one who may not is shown the findings
  await page.goto(`${app.url}/records/trend?by=person`);
  await page.getByRole('link', { name: RECORDS.listRivets }).first().click();
  await expect(page).toHaveURL(/\/records\?finding=/);
  await expect(page.getByText(RECORDS.noRivetOnRecordIs)).toHaveCount(0);

  await page.goto(`${app.url}/records?finding=shiny&lot=K-2207`);
  await expect(page.getByText('a finding is chosen from the list')).toBeVisible();
  await page.goto(`${app.url}/records?lot=nobody`);
  await expect(page.getByText(RECORDS.noRivetOnRecordIs)).toBeVisible();
  const missing = await page.request.get(`${app.url}/records/${crypto.randomUUID()}/1`);
  expect(missing.status()).toBe(404);
});

test('the lot is told while driving and stands beside each rivet', async ({ page, app }) => {
  await openDemo(page, app, /Bottom skin lap, bay 9/, 'drive');
  const lot = page.getByTestId('run-lot');
  await expect(lot).toContainText(DRIVE.lotNotTold);
  await lot.getByRole('button', { name: DRIVE.tellIt }).click();
  await lot.getByLabel(DRIVE.lotAsOnTheBag).fill('Z-901');
  await lot.getByRole('button', { name: DRIVE.fromThisLotOn }).click();
  await expect(lot).toContainText('✓ Lot Z-901');
  await firstPress(page, () => page.getByTestId('driven').first().click());
  await expect
    .poll(async () => {
      const reply = await page.request.get(`${app.url}/api/records.csv?lot=Z-901`);
      return Papa.parse<Record<string, string>>((await reply.text()).trim(), { header: true }).data
        .length;
    })
    .toBe(1);
});
