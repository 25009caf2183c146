import type { Locator, Page } from '@playwright/test';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { SIZE } from '../../src/lib/words/pages/size.ts';
import { expect, beginJoint, openOwn, test, type App } from './app.ts';

/** A pixel is what a rounding may cost. */
const MOST_PX = 1;
const WIDTHS = [
  { name: '1280', viewport: { width: 1280, height: 800 } },
  { name: '1024', viewport: { width: 1024, height: 768 } },
  { name: '390', viewport: { width: 390, height: 844 } },
  // 1280 by 800 at 200 %
  { name: '200 %', viewport: { width: 640, height: 400 } }
] as const;

/** Types key by key, and measures after each where the field stands. @returns by how much it moved at the most, px */
async function moved(page: Page, field: Locator, text: string): Promise<number> {
  await field.click();
  await field.selectText().catch(() => undefined);
  const at = () => field.evaluate((box) => box.getBoundingClientRect().toJSON() as DOMRect);
  // what is drawn for this figure is drawn within a frame or two, what the server says a little after
  const settled = () =>
    page.evaluate(
      () =>
        new Promise<void>((done) => {
          requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 120)));
        })
    );
  await settled();
  const first = await at();
  let most = 0;
  for (const key of text) {
    await page.keyboard.type(key);
    await settled();
    const now = await at();
    most = Math.max(most, Math.abs(now.x - first.x), Math.abs(now.y - first.y));
  }
  return most;
}

async function size(page: Page, app: App): Promise<[string, Locator, string][]> {
  await beginJoint(page, app, 'lap', 'Standing still', ['', '']);
  await expect(page.getByTestId('ghost')).toHaveAttribute('data-left', '3');
  return [
    ['sheet 1', page.getByTestId('thickness-1'), '0.032'],
    ['sheet 2', page.getByTestId('thickness-2'), '0.051'],
    ['width', page.getByLabel('Joint width, along the rivet row'), '7 9/16'],
    ['rivets per inch', page.getByLabel(SIZE.rivetsPerInchFromApproved), '5.25'],
    ['its source', page.getByLabel(SIZE.whoseFigureAndWhereIt), 'sheet 12']
  ];
}

async function stack(page: Page, app: App): Promise<[string, Locator, string][]> {
  await openOwn(page, app, BOTTOM_LAP, 'stack-up');
  return [
    ['sheet 1', page.getByTestId('thickness-1'), '0.125'],
    ['sheet 2', page.getByTestId('thickness-2'), '2.5mm'],
    ['protrusion', page.getByLabel(/^Measured protrusion/), '0.118']
  ];
}

async function inspect(page: Page, app: App): Promise<[string, Locator, string][]> {
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  await page.getByTestId('release').click();
  await expect(page.getByTestId('head-now')).toHaveAttribute('data-hole', '1');
  const diameter = page.getByRole('textbox', { name: COMMON.diameter });
  const height = page.getByRole('textbox', { name: COMMON.height });
  return [
    ['diameter', diameter, '0.188'],
    ['height', height, '0.063'],
    ['a diameter that is none', diameter, '1.9'],
    ['a head far too high', height, '0.115']
  ];
}

for (const { name, viewport } of WIDTHS)
  test(`no field moves while it is typed in, at ${name}`, async ({ page, app }) => {
    await page.setViewportSize(viewport);
    for (const [stage, open] of Object.entries({ size, stack, inspect }))
      for (const [field, box, text] of await open(page, app))
        expect(await moved(page, box, text), `${stage}: ${field}`).toBeLessThanOrEqual(MOST_PX);
  });

test('the diameter stays where it is from one head to the next', async ({ page, app }) => {
  await inspect(page, app);
  const diameter = page.getByRole('textbox', { name: COMMON.diameter });
  const top = () => diameter.evaluate((box) => box.getBoundingClientRect().y);
  const first = await top();
  for (const [wide, high] of [
    ['0.188', '0.063'],
    ['0.130', '0.063'],
    ['0.188', '0.090'],
    ['0.240', '0.030']
  ] as const) {
    const head = await page.getByTestId('head-now').getAttribute('data-hole');
    await diameter.fill(wide);
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: COMMON.height }).fill(high);
    await page.keyboard.press('c');
    await expect(page.getByTestId('head-now')).not.toHaveAttribute('data-hole', head ?? '');
    expect(Math.abs((await top()) - first), `after head ${head}`).toBeLessThanOrEqual(MOST_PX);
  }
});

test('on a phone what is typed stands before the drawing', async ({ page, app }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const y = (at: Locator) => at.evaluate((box) => box.getBoundingClientRect().y);
  await openOwn(page, app, BOTTOM_LAP, 'size');
  expect(await y(page.getByTestId('thickness-1'))).toBeLessThan(
    await y(page.getByText('Rivets per inch', { exact: true }).first())
  );
  await openOwn(page, app, BOTTOM_LAP, 'stack-up');
  expect(await y(page.getByTestId('thickness-1'))).toBeLessThan(
    await y(page.getByTestId('section').first())
  );
  await openOwn(page, app, BOTTOM_LAP, 'layout');
  expect(await y(page.getByLabel('Edge distance', { exact: true }).first())).toBeLessThan(
    await y(page.getByTestId('plan-view'))
  );
});

for (const { name, viewport } of WIDTHS.slice(2))
  test(`no bar covers the field that one is in, at ${name}`, async ({ page, app }) => {
    await page.setViewportSize(viewport);
    // nothing can be laid out on it: Layout stops it, and Stack-up says so at its foot
    await openOwn(page, app, { ...BOTTOM_LAP, edgeIn: '1/16' }, 'stack-up');
    await expect(page.getByTestId('stop-bar')).toBeVisible();
    // it stands at the end of the stage, not on the middle of it
    const top = await page.getByTestId('stop-bar').evaluate((bar) => {
      bar.closest('main')?.scrollTo(0, 1e6);
      return bar.getBoundingClientRect().top;
    });
    const end = await page
      .locator('.frame:has(.worksheet)')
      .evaluate((frame) => frame.getBoundingClientRect().bottom);
    expect(top).toBeGreaterThanOrEqual(end - MOST_PX);
    const boxes = await page.locator('main input.field-box:visible').all();
    expect(boxes.length).toBeGreaterThan(4);
    const covered: string[] = [];
    for (const box of boxes) {
      await box.focus();
      const over = await box.evaluate((field) => {
        const { x, y, width, height } = field.getBoundingClientRect();
        const there = document.elementFromPoint(x + width / 2, y + height / 2);
        return there === field ? null : `${field.id} under ${there?.outerHTML.slice(0, 80)}`;
      });
      if (over) covered.push(over);
    }
    expect(covered).toEqual([]);
  });
