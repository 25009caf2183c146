import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { addressOf, demoJoint, expect, test } from './app.ts';

/** The text of each sheet of a page as it is printed, by a reader that did not write it. */
async function sheets(page: Page, format: 'A4' | 'Letter', path: string): Promise<string[]> {
  writeFileSync(path, await page.pdf({ format, preferCSSPageSize: false }));
  return execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' })
    .split('\f')
    .slice(0, -1);
}
const packed = (text: string): string => text.replace(/\s+/g, '');

/** The last words of the last row of what is listed. */
const lastRow = (page: Page, rows: string): Promise<string> =>
  page.locator(rows).last().innerText();

for (const format of ['A4', 'Letter'] as const)
  test(`what a shop pins up or files prints whole on ${format}`, async ({ page, app }, info) => {
    test.setTimeout(180_000);
    const joint = await demoJoint(app, /Bottom skin lap, bay 9/);
    await page.goto(app.url);
    const job = await page.locator('a[href^="/jobs/"]').first().getAttribute('href');
    const pages: [string, string][] = [
      [`${app.url}${job ?? ''}`, '#content tbody tr'],
      [`${app.url}/rules`, '#content section p'],
      [`${app.url}/setups/tools`, '#content :is(h2, h3, .label)'],
      [`${app.url}/stock`, '#content tbody tr'],
      [`${app.url}/records`, '#content tbody tr'],
      [addressOf(app, joint, 'prepare'), '#content .worksheet li'],
      [addressOf(app, joint, 'drive'), '[data-testid="tap-card"] p'],
      [addressOf(app, joint, 'inspect'), '[data-testid="legend"] li']
    ];
    for (const [address, rows] of pages) {
      await page.goto(address);
      await page.locator('html[data-awake]').waitFor({ state: 'attached' });
      await page.locator(rows).last().waitFor({ state: 'attached' });
      const last = (await lastRow(page, rows)).split(/\s+/).filter((word) => word.length > 1);
      expect(last.length, address).toBeGreaterThan(0);
      const printed = await sheets(page, format, info.outputPath('printed.pdf'));
      expect(printed.length, address).toBeGreaterThan(0);
      expect(printed.length, address).toBeLessThanOrEqual(12);
      const text = packed(printed.join(' '));
      for (const word of last) expect(text, `${address}: its last row`).toContain(packed(word));
      // the rail is gone
      expect(text, address).not.toContain('RivetID');
    }
  });
