import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { STOCK } from '../../src/lib/words/pages/stock.ts';
import { RIVETS } from '../../src/lib/words/pages/rivets.ts';
import { expect, test } from './app.ts';

test('rivets come in, go out to a job and are counted again', async ({ page, app }) => {
  await page.goto(`${app.url}/stock`);
  await page.getByLabel(COMMON.partNumber, { exact: true }).fill('ms20470 ad8-99');
  await expect(page.getByText('length "-99" is outside -2 to -32')).toBeVisible();
  await expect(page.getByRole('button', { name: STOCK.receiveIntoStock })).toBeDisabled();
  await page.getByLabel(COMMON.partNumber, { exact: true }).fill('ms20470 dd5-8');
  await expect(page.getByLabel(STOCK.keptCold)).toBeChecked();
  await page.getByLabel(COMMON.lot, { exact: true }).fill('T-1');
  await page.getByLabel(STOCK.howMany, { exact: true }).fill('60');
  await page.getByRole('button', { name: STOCK.receiveIntoStock }).click();
  await expect(page.getByText('60 × MS20470DD5-8 received')).toBeVisible();

  const bin = page.locator('[data-row^="MS20470DD5-8 T-1"]');
  await expect(bin).toContainText('refrigerated');
  await bin.click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(STOCK.howManyGoOut).fill('61');
  await dialog.getByRole('button', { name: STOCK.handOut }).click();
  await expect(dialog.getByText(/61 cannot go out: 60 of MS20470DD5-8/)).toBeVisible();
  await expect(dialog.getByLabel(STOCK.howManyGoOut)).toHaveValue('61');
  await dialog.getByLabel(STOCK.howManyGoOut).fill('25');
  await dialog
    .getByLabel(COMMON.for)
    .selectOption({ label: '0318 Hull bottom, chafed skin renewed' });
  await dialog.getByRole('button', { name: STOCK.handOut }).click();
  await expect(bin).toContainText('35');

  await bin.click();
  await dialog.getByText(STOCK.countAgain).click();
  await dialog.getByLabel(STOCK.howManyAreThere).fill('33');
  await dialog.getByRole('button', { name: STOCK.setTheCount }).click();
  await expect(bin).toContainText('33');
  await bin.click();
  await expect(dialog.getByText('handed out 25')).toBeVisible();
  await expect(dialog.getByText('to job 0318')).toBeVisible();
  await expect(dialog.getByText('counted 33')).toBeVisible();
});

test('the stock goes out as a table and comes back in, all or none', async ({ page, app }) => {
  await page.goto(`${app.url}/stock`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: STOCK.allBinsAsATable }).click()
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect(data.find((row) => row['part_number'] === 'MS20470AD3-3')).toMatchObject({
    lot: 'PK-207',
    cold: 'no',
    count: '350'
  });
  const give = (csv: string) =>
    page.locator('input[type=file][aria-label="Table of bins"]').setInputFiles({
      name: 'counted.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(csv)
    });
  await give('part_number,lot,count\nMS20470AD3-3,PK-207,many\n');
  await expect(page.getByRole('alert').getByText(/line 2/)).toBeVisible();
  await give(text.replace(/350/, '341'));
  await page.getByRole('button', { name: 'Store the counts' }).click();
  await expect(page.locator('[data-row^="MS20470AD3-3 PK-207"]')).toContainText('341');
});

test('the open jobs’ rivets are held against the bins', async ({ page, app }) => {
  await page.goto(`${app.url}/stock`);
  await expect(page.getByTestId('shortages').locator('tbody tr').first()).toContainText('✕');
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Open job 0318' }).click();
  await expect(page.getByTestId('bill')).toContainText('MS20470AD4-4.5');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: COMMON.asATableCSV }).click()
  ]);
  const { data } = Papa.parse<Record<string, string>>(readFileSync(await download.path(), 'utf8'), {
    header: true,
    skipEmptyLines: true
  });
  const row = data.find((one) => one['part_number'] === 'MS20470AD4-4.5');
  expect(Number(row?.['to_draw'])).toBe(Number(row?.['needed']) + Number(row?.['spares']));
});

test('a rivet is read from its number and found by its mark, on a phone too', async ({
  page,
  app
}) => {
  await page.goto(`${app.url}/rivets`);
  const field = page.getByLabel(RIVETS.partNumberAsItStands);
  await field.fill('an426 dd5-7.5');
  await expect(page.getByTestId('decoded')).toContainText('AN426DD5-7.5');
  await expect(page.getByTestId('decoded')).toContainText('two raised dashes');
  await expect(page.getByTestId('decoded')).toContainText('15/32');
  const picture = page.getByTestId('rivet-picture');
  const pxPerIn = Number(await picture.getAttribute('data-px-per-in'));
  const drawn = await picture.evaluate((svg) => {
    const shank = svg.querySelector('[data-part="shank"]');
    if (!(shank instanceof SVGGraphicsElement)) return null;
    const { width, height } = shank.getBBox();
    return { width, height };
  });
  expect((drawn?.width ?? 0) / pxPerIn).toBeCloseTo(5 / 32, 4);
  expect((drawn?.height ?? 0) / pxPerIn).toBeCloseTo(15 / 32, 4);
  await field.fill('MS20471AD4-4');
  await expect(page.getByText(/does not start with MS20470/)).toBeVisible();

  await page.getByLabel(RIVETS.findByMarkOneRaised).fill('one raised dot');
  await expect(page.getByTestId('marks').getByRole('listitem')).toHaveCount(1);
  await expect(page.getByTestId('marks')).toContainText('2017-T4');
  await page.setViewportSize({ width: 390, height: 780 });
  const overflow = await page
    .getByRole('main')
    .evaluate((main) => main.scrollWidth - main.clientWidth);
  expect(overflow).toBeLessThanOrEqual(0);
});
