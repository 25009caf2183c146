import type { Page } from '@playwright/test';
import { expect, firstPress, openOwn, test } from './app.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { DRIVE } from '../../src/lib/words/pages/drive.ts';
import { entered } from '../support/joints.ts';

const SIX_HUNDRED = entered('lap', ['0.020', '0.020'], {
  widthIn: '72',
  rows: 3,
  dash: 3,
  prefer: 'near',
  nearPitchIn: '0.36'
});

/** Dots of a color other than the sheet's, in the canvas’s own pixels: something is drawn there. */
const drawn = (page: Page) =>
  page.getByTestId('plan-canvas').evaluate((canvas: HTMLCanvasElement) => {
    const pen = canvas.getContext('2d');
    const dots = pen?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
    let count = 0;
    for (let at = 3; at < dots.length; at += 4) if ((dots[at] ?? 0) > 0) count += 1;
    return count;
  });

/** A tap beside the middle of a strip of the map, px to the right. */
async function tapIn(page: Page, map: string, strip: number, beside: number): Promise<void> {
  const metal = page.getByTestId(map).locator('rect.metal').nth(strip);
  await metal.scrollIntoViewIfNeeded();
  const box = await metal.boundingBox();
  if (!box) throw new Error('the map is not there');
  await page.mouse.click(box.x + box.width / 2 + beside, box.y + box.height / 2);
}

test('more rivets than are drawn one by one are driven and inspected on a canvas', async ({
  page,
  app
}) => {
  await openOwn(page, app, SIX_HUNDRED, 'drive');
  await page.getByRole('button', { name: DRIVE.releaseItAndStartDriving }).click();
  const next = page.getByTestId('next-rivet');
  await expect(next).toBeVisible();
  const canvas = page.getByTestId('plan-canvas');
  const holes = Number(await canvas.getAttribute('data-holes'));
  expect(holes).toBeGreaterThan(550);
  expect(await drawn(page)).toBeGreaterThan(holes);
  await expect(page.locator('[data-testid=drive-map] [data-hole]')).toHaveCount(0);

  const first = await next.textContent();
  await tapIn(page, 'drive-map', 2, 4);
  await expect(next).not.toHaveText(first ?? '');
  const middle = await next.textContent();
  const before = await drawn(page);
  await firstPress(page, () => page.getByTestId('driven').click());
  await expect(page.getByTestId('tap-card')).toContainText(`1 of ${holes} driven`);
  // the mark of the one that is driven is another than before
  await expect.poll(() => drawn(page)).not.toBe(before);

  await page.goto(page.url().replace(/drive$/, 'inspect'));
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).waitFor({
    state: 'detached'
  });
  await expect(canvas).toHaveAttribute('data-holes', String(holes));
  // seen from the other side right is left
  await tapIn(page, 'hole-map', 2, -4);
  const head = page.getByTestId('head-now');
  await expect(head).toHaveAttribute('data-hole', /\d+/);
  const there = Number(await head.getAttribute('data-hole'));
  expect(there).toBe(Number(middle));
  await tapIn(page, 'hole-map', 4, 0);
  await expect(head).not.toHaveAttribute('data-hole', String(there));
});
