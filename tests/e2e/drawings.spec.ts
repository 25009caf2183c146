import type { Page } from '@playwright/test';
import { entered } from '../support/joints.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { SIZE } from '../../src/lib/words/pages/size.ts';
import { expect, openDemo, openOwn, test } from './app.ts';

/** Labels of the drawings that stand over each other, or are cut off where their drawing ends. */
const crowded = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    let drawings = 0;
    for (const drawing of document.querySelectorAll('svg')) {
      const frame = drawing.getBoundingClientRect();
      if (frame.width < 120 || frame.height < 40) continue;
      const labels = [...drawing.querySelectorAll('text')]
        .map((text) => ({ text: text.textContent.trim(), box: text.getBoundingClientRect() }))
        .filter(({ text, box }) => text !== '' && box.width > 0);
      if (labels.length > 0) drawings += 1;
      labels.forEach(({ text, box }, index) => {
        for (const other of labels.slice(index + 1)) {
          const wide = Math.min(box.right, other.box.right) - Math.max(box.left, other.box.left);
          const high = Math.min(box.bottom, other.box.bottom) - Math.max(box.top, other.box.top);
          // a line of writing is higher than its letters
          if (wide > 2 && high > 4) found.push(`${text} over ${other.text}`);
        }
        if (
          box.left < frame.left - 2 ||
          box.right > frame.right + 2 ||
          box.top < frame.top - 2 ||
          box.bottom > frame.bottom + 2
        )
          found.push(`${text} cut off`);
      });
    }
    return drawings > 0 ? found : ['no drawing with a label on it'];
  });

const SCREENS = [
  [1280, 800],
  [1024, 768],
  [390, 844]
] as const;

const EVERY_KIND = [
  /Bottom skin lap/,
  /Wing root, flush/,
  /Keelson web, splice/,
  /Hull side, flush/,
  /Bilge hole, round/,
  /Frame 11 flange/,
  /Front spar cap/,
  /Nose window frame/,
  /Float stringer 6/
];

for (const name of EVERY_KIND)
  test(`no label stands over another at any size of screen: ${name.source}`, async ({
    page,
    app
  }) => {
    await openDemo(page, app, name, 'layout');
    for (const [width, height] of SCREENS) {
      await page.setViewportSize({ width, height });
      await expect(page.getByTestId('plan-view').or(page.getByTestId('story'))).toBeVisible();
      await expect.poll(() => crowded(page), { message: `${width} px` }).toEqual([]);
    }
  });

test('a long member is told in lines under a picture of the whole', async ({ page, app }) => {
  await openDemo(page, app, /Front spar cap/, 'layout');
  const lines = page.getByTestId('story-line');
  // 160 in: six lines of 24 and a rest of 16
  await expect(lines).toHaveCount(7);
  await expect(page.getByTestId('story')).toContainText(/depth drawn [\d.]+ times larger/);
  await expect(lines.locator('[data-hole]')).not.toHaveCount(0);
  await page.getByRole('radio', { name: LAYOUT.n12In }).check({ force: true });
  await expect(lines).toHaveCount(14);
  // a hole of the fourth line, picked in the tape's row, comes into sight
  await page.getByTestId('go-to-strip-9').click();
  await expect(lines.nth(8)).toBeInViewport();
  const hole = lines.nth(8).locator('[data-hole]').first();
  const number = (await hole.getAttribute('data-hole')) ?? '';
  await hole.click();
  await expect(page.getByTestId('picked-hole')).toContainText(`Hole ${number}`);
  await page.getByRole('radio', { name: LAYOUT.whole }).check({ force: true });
  await expect(page.getByTestId('plan-view')).toBeVisible();
});

test('the lines follow the reader’s unit, and the marks scroll by keys', async ({ page, app }) => {
  await openDemo(page, app, /Front spar cap/, 'layout');
  await page.keyboard.press('Escape');
  await page.getByRole('radio', { name: LAYOUT.mm, exact: true }).check({ force: true });
  await expect(page.getByText(LAYOUT.n600Mm, { exact: true })).toBeVisible();
  // 160 in are 4064 mm: six lines of 600 and a rest of 464
  await expect(page.getByTestId('story-line')).toHaveCount(7);
  const marks = page.getByRole('region', { name: /arrow keys scroll/ }).last();
  await marks.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => marks.evaluate((strip) => strip.scrollLeft)).toBeGreaterThan(0);
});

test('eighty-four holes and twelve thousand keep their numbers apart', async ({ page, app }) => {
  const many = entered('line', ['0.040', '0.040'], {
    carries: 'attach',
    lengthIn: '124 7/8',
    flangeIn: '1 1/4',
    bendRadiusIn: '1/8',
    dash: 4,
    prefer: 'near',
    nearPitchIn: '1.5'
  });
  await openOwn(page, app, many, 'layout');
  await expect(page.locator('[data-figure="Holes"]')).toContainText('84');
  await expect(page.getByTestId('story-line').locator('[data-hole]')).not.toHaveCount(0);
  await expect.poll(() => crowded(page)).toEqual([]);
  await page.getByRole('radio', { name: LAYOUT.whole }).check({ force: true });
  await expect.poll(() => crowded(page)).toEqual([]);
  // 10.5 an inch over 1200 in
  const thousands = entered('lap', ['0.032', '0.032'], {
    widthIn: '1200',
    rows: 3,
    dash: 3,
    perInch: '10.5',
    perInchReason: 'test'
  });
  await openOwn(page, app, thousands, 'layout');
  await expect(page.locator('[data-figure="Holes"]')).toContainText('12600');
  // so many are shown whole first
  await expect(page.getByTestId('plan-canvas')).toBeVisible();
  await expect.poll(() => crowded(page)).toEqual([]);
  await page.getByRole('radio', { name: LAYOUT.n24In }).check({ force: true });
  await expect(page.getByTestId('story-line')).toHaveCount(50);
  // thousands go on canvases, and only where one looks
  const drawn = page.getByTestId('story-line').getByTestId('plan-canvas');
  await expect(drawn).not.toHaveCount(0);
  expect(await drawn.count()).toBeLessThan(12);
  await expect.poll(() => crowded(page)).toEqual([]);
});

test('what is not possible is drawn, with a way out as a ghost', async ({ page, app }) => {
  const tight = entered('lap', ['0.040', '0.040'], {
    widthIn: '8',
    rows: 1,
    dash: 4,
    perInch: '3.75',
    perInchReason: 'test'
  });
  await openOwn(page, app, tight, 'layout');
  const picture = page.getByTestId('not-possible');
  await expect(picture.locator('[data-cannot]')).toHaveAttribute('data-cannot', /^(2[1-9]|30)$/);
  await expect(picture.locator('[data-ghost]')).toHaveAttribute('data-ghost', /^3\d$/);
  await expect(page.getByText(/dashed: use automatic rows, 3\d holes/)).toBeVisible();
  await page.getByTestId('way-rows-chosen').click();
  await expect(picture).toHaveCount(0);
  await expect(page.getByTestId('plan-view')).toBeVisible();
});

test('a finger along a row picks its holes', async ({ page, app }) => {
  await openDemo(page, app, /Bottom skin lap/, 'layout');
  const at = async (hole: number) => {
    const box = await page.locator(`[data-testid="plan-view"] [data-hole="${hole}"]`).boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  };
  const [first, fourth] = [await at(2), await at(4)];
  await page.mouse.move(first.x, first.y);
  await page.mouse.down();
  await page.mouse.move(fourth.x, fourth.y, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByTestId('picked-hole')).toContainText('Hole 4');
  // beside a hole, within a finger’s reach
  await page.mouse.click(first.x, first.y - 15);
  await expect(page.getByTestId('picked-hole')).toContainText('Hole 2');
});

for (const name of [/Bottom skin lap/, /Wing root, flush/])
  test(`charts and the plan at Prepare are readable at any size of screen: ${name.source}`, async ({
    page,
    app
  }) => {
    for (const stage of ['size', 'prepare'] as const) {
      await openDemo(page, app, name, stage);
      for (const [width, height] of SCREENS) {
        await page.setViewportSize({ width, height });
        await expect.poll(() => crowded(page), { message: `${stage}, ${width} px` }).toEqual([]);
        if (stage === 'prepare') continue;
        await page.getByText(SIZE.strengthOverPitch, { exact: true }).click();
        await expect(page.getByTestId('efficiency')).toBeVisible();
        await expect.poll(() => crowded(page), { message: `strength, ${width} px` }).toEqual([]);
        await page.getByText('Rivet sizes', { exact: true }).click();
      }
    }
  });

test('a row that does not fit goes on in a further strip, and a press picks the nearest hole', async ({
  page,
  app
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, app, /Bottom skin lap/, 'inspect');
  const map = page.getByTestId('hole-map');
  const holes = map.locator('[data-hole]');
  await expect(holes).toHaveCount(50);
  const frame = await map.evaluate((svg) => svg.getBoundingClientRect().toJSON() as DOMRect);
  expect(frame.width).toBeLessThanOrEqual(390);
  for (const box of await holes.evaluateAll((all) =>
    all.map((hole) => hole.getBoundingClientRect().toJSON() as DOMRect)
  )) {
    expect(box.left).toBeGreaterThanOrEqual(frame.left);
    expect(box.right).toBeLessThanOrEqual(frame.right);
  }
  // below the mark, and nearer to it than to any other
  const mark = holes.nth(30);
  const number = (await mark.getAttribute('data-hole')) ?? '';
  await mark.scrollIntoViewIfNeeded();
  const { x, y, width, height } = (await mark.locator('circle').boundingBox()) ?? {
    x: 0,
    y: 0,
    width: 0,
    height: 0
  };
  await page.mouse.click(x + width / 2, y + height / 2 + 17);
  await expect(page.getByTestId('head-now')).toHaveAttribute('data-hole', number);
  const seven = page.getByTestId('seven');
  await expect(seven.getByRole('button')).toHaveCount(9);
  await seven.getByRole('button', { name: COMMON.holeAfter }).click();
  await expect(page.getByTestId('head-now')).toHaveAttribute(
    'data-hole',
    String(Number(number) + 1)
  );
});
