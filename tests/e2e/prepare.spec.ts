import { BOTTOM_LAP, HULL_PATCH } from '../../scripts/demo-data.ts';
import type { Page } from '@playwright/test';
import { expect, jointOf, openOwn, saved, test, toStation, type App } from './app.ts';
import { READY } from '../../src/lib/words/pages/prepare.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { RECORDS } from '../../src/lib/words/pages/records.ts';
import { STACK } from '../../src/lib/words/pages/stack.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { wrongOn } from './readable.ts';

/** Waits until ticks are with the server, and not only kept in this browser. */
const ticksStored = (page: Page, app: App): Promise<void> =>
  expect
    .poll(async () => {
      const reply = await page.request.get(`${app.url}/api/events/step/${jointOf(page)}`);
      return ((await reply.json()) as unknown[]).length;
    })
    .toBeGreaterThan(0);

test('steps are ticked off, whole or hole by hole, and that survives', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'prepare');
  await expect(page.getByTestId('steps').getByRole('listitem')).toHaveCount(12);
  await expect(page.getByTestId('left')).toContainText('0 of 12 steps');
  await page.locator('[data-tick="clamp"]').click();
  await page.locator('[data-tick="punch"]').click();
  await expect(page.getByTestId('left')).toContainText('2 of 12 steps');
  // the next step comes up by itself; two of its holes are drilled
  await expect(page.getByTestId('step-card')).toContainText('Drill the pilots');
  await page.locator('[data-hole="1"]').click();
  await page.locator('[data-hole="2"]').click();
  await expect(page.getByTestId('step-card')).toContainText('2 of 50 holes');
  await expect(page.locator('[data-ticked]')).toHaveCount(2);
  await page.locator('[data-hole="2"]').click();
  await expect(page.locator('[data-ticked]')).toHaveCount(1);
  await ticksStored(page, app);
  await page.reload();
  await expect(page.getByTestId('left')).toContainText('2 of 12 steps');
  await expect(page.getByTestId('step-card')).toContainText('1 of 50 holes');
  await page.locator('[data-tick="punch"]').click();
  await expect(page.getByTestId('left')).toContainText('1 of 12 steps');
});

test('a finger that trembles ticks a hole once, one that goes along a row ticks each', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'prepare');
  await page.locator('[data-step]').filter({ hasText: 'Center punch' }).click();
  const middle = async (hole: number) => {
    const box = await page.locator(`[data-testid="plan-view"] [data-hole="${hole}"]`).boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  };
  const card = page.getByTestId('step-card');
  const [first, third] = [await middle(3), await middle(6)];
  await page.mouse.move(first.x, first.y);
  await page.mouse.down();
  await page.mouse.move(first.x + 2, first.y + 1, { steps: 3 });
  await page.mouse.up();
  await expect(card).toContainText('1 of 50 holes');
  await page.mouse.move(third.x, third.y);
  await page.mouse.down();
  const last = await middle(9);
  await page.mouse.move(last.x, last.y, { steps: 12 });
  await page.mouse.up();
  // 3, and 6 to 9 in one stroke
  await expect(card).toContainText('5 of 50 holes; left: 1–2, 4–5, 10–50');
});

test('a tick made without the server is sent once it is back', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'prepare');
  await expect(page.getByTestId('steps').getByRole('listitem')).toHaveCount(12);
  await app.stop();
  await page.locator('[data-tick="punch"]').click();
  await expect(page.getByTestId('kept-here')).toBeVisible();
  await app.start();
  await expect(page.getByTestId('kept-here')).toHaveCount(0, {
    timeout: 15_000
  });
  await page.reload();
  await expect(page.getByTestId('left')).toContainText('1 of 12 steps');
});

test('holders stand at the ends and move over; too few stand wider apart', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'prepare');
  // two rows of 25: the ends and every fourth hole
  await expect(page.locator('[data-holder]')).toHaveCount(14);
  await expect(page.locator('[data-holder="1"]')).toBeVisible();
  await page.getByText(READY.afterUpSizing, { exact: true }).click();
  await expect(page.locator('[data-holder="2"]')).toBeVisible();
  await expect(page.locator('[data-holder="1"]')).toHaveCount(0);

  await page.getByRole('button', { name: READY.timesAndHolders }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(READY.holdersFor40).fill('8');
  await dialog.getByTestId('seconds-punch').fill('30');
  await dialog.getByRole('button', { name: READY.keepForTheShop }).click();
  await expect(page.getByText(READY.holdersStandWiderApart)).toBeVisible();
  // 50 × 30 s
  await page.locator('[data-step="punch"]').click();
  await expect(page.getByTestId('step-card')).toContainText('about 25 min');
  await page.getByRole('button', { name: READY.timesAndHolders }).click();
  await dialog.getByLabel(READY.holdersFor40).fill('60');
  await dialog.getByTestId('seconds-punch').fill('');
  await dialog.getByRole('button', { name: READY.keepForTheShop }).click();
  await expect(page.getByText(READY.holdersStandWiderApart)).toHaveCount(0);
});

test('a changed joint asks for another look at what was ticked off', async ({ page, app }) => {
  await openOwn(page, app, HULL_PATCH, 'prepare');
  await expect(page.getByTestId('steps')).toContainText('Drill the corner reliefs');
  await page.locator('[data-tick="punch"]').click();
  await ticksStored(page, app);
  await page.goto(page.url().replace(/prepare$/, 'size'));
  await page.getByTestId('asked-cutoutWIn').fill('5');
  await page.goto(page.url().replace(/size$/, 'prepare'));
  await expect(page.locator('[data-step="punch"]')).toContainText('△ redo');
  await page.locator('[data-step="punch"]').click();
  await expect(page.getByTestId('step-card')).toContainText('Changed after completion: the count');
});

test('a tick that an earlier version kept in this browser is sent', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'prepare');
  await expect(page.getByTestId('left')).toContainText('0 of 12 steps');
  const joint = /joints\/([^/]+)/.exec(page.url())?.[1] ?? '';
  await page.evaluate((id) => {
    const tick = {
      id: crypto.randomUUID(),
      at: '2026-11-20T09:00:00.000Z',
      step: 'part',
      hole: null,
      of: 2,
      done: true,
      timed: null
    };
    localStorage.setItem(`zanjador.ready.${id}.a-tab-that-is-gone`, JSON.stringify([tick]));
  }, joint);
  await page.reload();
  await expect(page.getByTestId('left')).toContainText('1 of 12 steps');
  await ticksStored(page, app);
  await page.evaluate(() => localStorage.clear());
  await page.reload();
  await expect(page.getByTestId('left')).toContainText('1 of 12 steps');
});

test('step by step, big, on a tablet: one step, its count, its caution', async ({ page, app }) => {
  await page.setViewportSize({ width: 768, height: 1024 });
  await openOwn(page, app, BOTTOM_LAP, 'prepare');
  await page.getByRole('button', { name: READY.benchView }).click();
  const floor = page.getByTestId('floor');
  await expect(floor).toContainText('step 1 of 12');
  await expect(floor).toContainText('Clamp the parts');
  await floor.getByRole('button', { name: COMMON.done, exact: true }).click();
  await expect(floor).toContainText('Center punch');
  // a row at a time, and a hole on the plan beside it
  await floor.getByTestId('row 1 done').click();
  await expect(floor).toContainText('25 of 50 holes');
  await expect(floor.getByTestId('row 1 done')).toHaveCount(0);
  await floor.locator('[data-hole="26"]').click();
  await expect(floor).toContainText('26 of 50 holes; left: 27–50');
  await floor.getByTestId('row 2 done').click();
  await expect(floor).toContainText('Drill the pilots');
  await expect(floor).toContainText('Eye protection');
  const button = await floor.getByRole('button', { name: COMMON.done, exact: true }).boundingBox();
  expect(button?.height ?? 0).toBeGreaterThanOrEqual(64);
  expect(await wrongOn(page, 'one step at a time')).toEqual([]);
  await floor.getByRole('button', { name: RECORDS.next }).click();
  await expect(floor).toContainText('Install temporary fasteners');
  // at 200 % nothing of the step lies below the fold, and its caution and Done are in sight
  await page.setViewportSize({ width: 640, height: 400 });
  await floor.getByRole('button', { name: COMMON.back }).click();
  await expect(floor.getByText('Eye protection')).toBeInViewport({ ratio: 1 });
  await expect(floor.getByRole('button', { name: COMMON.done, exact: true })).toBeInViewport({
    ratio: 1
  });
  const hidden = await floor
    .locator('.step')
    .first()
    .evaluate((step) => step.scrollHeight - step.clientHeight);
  expect(hidden).toBeLessThanOrEqual(1);
  await page.keyboard.press('Escape');
  await expect(floor).toHaveCount(0);
});

test('a joint that stays together: accepted by whose word, its own steps, on record', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'stack-up');
  await page.getByText(STACK.noClosedStructure).click();
  await expect(
    page.getByRole('complementary', { name: LAYOUT.worksheet }).getByTestId('warning-closed-unsaid')
  ).toBeVisible();
  await page.getByLabel(STACK.chipsAndBurrsBetweenThem).fill('repair sheet QR-7');
  await expect(page.getByTestId('warning-closed')).toBeVisible();
  await saved(page);
  await toStation(page, 4);
  await expect(page.getByTestId('steps')).not.toContainText('Disassemble');
  await expect(page.getByTestId('steps')).toContainText('on the two outer faces');
  await toStation(page, 6);
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await expect(page.getByTestId('kept-closed')).toContainText('repair sheet QR-7');
});
