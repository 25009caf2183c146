import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { expect, openDemo, test } from './app.ts';

for (const [width, height] of [
  [1280, 800],
  [390, 780]
] as const)
  test(`the reader says one mark at a time at ${width} px`, async ({ page, app }) => {
    await openDemo(page, app, /Bottom skin lap/, 'layout');
    await page.setViewportSize({ width, height });
    await page.getByTestId('read-out').click();
    const mark = page.getByTestId('reader-mark');
    await expect(mark).toHaveText(/^9\/32/);
    await expect(page.getByTestId('mark-now')).toHaveAttribute('data-at', '1');
    await page.keyboard.press(' ');
    await expect(mark).toHaveText(/^45\/64/);
    await page.keyboard.press('ArrowRight');
    await expect(mark).toHaveText(/^1 1\/8/);
    await page.keyboard.press('ArrowLeft');
    await expect(mark).toHaveText(/^45\/64/);
    await page.getByRole('button', { name: LAYOUT.nextMark }).click();
    await expect(page.getByTestId('mark-now')).toHaveAttribute('data-at', '3');

    // readable at two metres: an eye that reads 5 minutes of arc needs 2.9 mm there; these are over ten times that
    const px = await mark.evaluate((element) =>
      Number.parseFloat(getComputedStyle(element).fontSize)
    );
    expect(px).toBeGreaterThan(width === 390 ? 60 : 200);
    const box = await mark.boundingBox();
    expect(box?.x ?? -1).toBeGreaterThanOrEqual(0);
    expect((box?.x ?? 0) + (box?.width ?? 9999)).toBeLessThanOrEqual(width);

    await page.keyboard.press('Escape');
    await expect(page.getByTestId('reader')).toHaveCount(0);
    await expect(page.getByTestId('picked-hole')).toContainText('Hole 3');
  });

test('in the reader Space and Enter press the button that has the focus', async ({ page, app }) => {
  await openDemo(page, app, /Bottom skin lap/, 'layout');
  await page.getByTestId('read-out').click();
  await expect(page.getByRole('button', { name: LAYOUT.nextMark })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('mark-now')).toHaveAttribute('data-at', '2');
  const back = page.getByRole('button', { name: COMMON.back2 });
  await back.focus();
  await page.keyboard.press(' ');
  await expect(page.getByTestId('mark-now')).toHaveAttribute('data-at', '1');
  await page.getByRole('button', { name: LAYOUT.closeTheReader }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('reader')).toHaveCount(0);
});

test('the content is one key away, and every joint page has its heading', async ({ page, app }) => {
  await openDemo(page, app, /Bottom skin lap/, 'stack-up');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Bottom skin lap, bay 9: Stack-up'
  );
  // the first thing that takes the focus, and it shows once it has it
  const skip = page.locator('a, button, input, select').first();
  await expect(skip).toHaveText(JOBS.skipToTheContent);
  await skip.focus();
  await expect(skip).toBeInViewport();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toBeFocused();
});

test('a whole row fits the reader, whatever its longest mark', async ({ page, app }) => {
  await openDemo(page, app, /Front spar cap/, 'layout');
  await page.setViewportSize({ width: 390, height: 780 });
  await page.getByTestId('read-out').click();
  const mark = page.getByTestId('reader-mark');
  for (let step = 0; step < 40; step++) {
    const box = await mark.boundingBox();
    expect((box?.x ?? 0) + (box?.width ?? 9999)).toBeLessThanOrEqual(390);
    await page.keyboard.press(' ');
  }
});
