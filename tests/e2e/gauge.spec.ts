import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import DxfParser from 'dxf-parser';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { expect, test } from './app.ts';

test('the gauge plate comes out full size and is judged when it is made', async ({ page, app }) => {
  await page.goto(`${app.url}/gauge`);
  await expect(page.locator('[data-feature="go-4"]')).toContainText('0.2188');
  await page.getByRole('button', { name: '8', exact: true }).click();
  await expect(page.locator('[data-feature="go-8"]')).toContainText('0.4375');
  const get = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name, exact: true }).click()
    ]);
    return download.path();
  };
  const dxf = new DxfParser().parseSync(readFileSync(await get('DXF'), 'utf8'));
  const radii = (dxf?.entities ?? []).flatMap((entity) =>
    entity.type === 'CIRCLE' ? [(entity as unknown as { radius: number }).radius] : []
  );
  // 1.75 and 1.3 D of five sizes
  for (const D of [3 / 32, 4 / 32, 5 / 32, 6 / 32, 8 / 32])
    for (const wideD of [1.75, 1.3])
      expect(radii.some((radius) => Math.abs(2 * radius - wideD * D) < 0.0005)).toBe(true);
  const text = execFileSync('pdftotext', [await get('PDF on A4'), '-'], { encoding: 'utf8' });
  expect(text).toContain('Gauge plate for driven heads, standard limits');
  expect(text).toContain('full size: print unscaled, at 100 %');

  await page.getByTestId('measured-go-4').fill('0.2195');
  await expect(page.locator('[data-feature="go-4"]')).toContainText(COMMON.good);
  await page.getByTestId('measured-high-4').fill('0.09');
  await expect(page.locator('[data-feature="high-4"]')).toContainText('✕ too deep: make a new one');
  await expect(page.getByTestId('plate-verdict')).toContainText('1 off: do not use it');
  await page.getByTestId('measured-low-4').fill('wide');
  await expect(page.locator('[data-feature="low-4"]')).toContainText(COMMON.noLength);
  await page.reload();
  await expect(page.getByTestId('measured-go-4')).toHaveValue('0.2195');
  const refused = await page.request.get(`${app.url}/api/gauge/gauge.dxf?sizes=7`);
  expect(refused.status()).toBe(400);
});
