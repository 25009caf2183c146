import type { Page } from '@playwright/test';
import { BOTTOM_LAP, FLOAT_LAP, FRAME_FLANGE } from '../../scripts/demo-data.ts';
import { SIZE } from '../../src/lib/words/pages/size.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import {
  expect,
  figure,
  holes,
  makeJoint,
  openDemo,
  openOwn,
  saved,
  test,
  toStation,
  draggable
} from './app.ts';

const at = async (page: Page, selector: string) => {
  const box = await page.locator(selector).first().boundingBox();
  if (!box) throw new Error(`${selector} is not on the page`);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};
async function drag(page: Page, selector: string, dx: number, dy: number): Promise<void> {
  await draggable(page);
  const from = await at(page, selector);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + dx / 2, from.y + dy / 2, { steps: 4 });
  await page.mouse.move(from.x + dx, from.y + dy, { steps: 4 });
  await page.mouse.up();
}

test('a keep-out is typed, dragged, and the row goes round it', async ({ page, app }) => {
  await makeJoint(page, app, 'Lap past a rib', ['0.040', '0.040', '10 3/4']);
  await page.getByLabel(SIZE.jointLocationCountFactor).selectOption('intermediate-frame');
  await toStation(page, 2);
  await expect(holes(page).first()).toBeVisible();
  await page.getByTestId('add keep-out').click();
  await page.getByTestId('keep-out-name-1').fill('rib');
  await page.getByLabel(LAYOUT.width, { exact: true }).fill('1/4');
  await expect(page.getByTestId('checks')).toContainText('limits met');
  const middle = page.getByLabel(LAYOUT.middleRightOfTheDatum);
  const before = await middle.inputValue();

  await drag(page, '[data-keep-out="0"] .body', 90, 0);
  await expect(middle).not.toHaveValue(before);
  const pxPerIn = Number(await page.getByTestId('plan-view').getAttribute('data-px-per-in'));
  expect(Math.abs(Number(await middle.inputValue()) - Number(before) - 90 / pxPerIn)).toBeLessThan(
    0.1
  );
  // still a whole division of the ruler, and every hole clear of it
  expect((Number(await middle.inputValue()) * 32) % 1).toBeCloseTo(0, 6);
  await expect(page.getByTestId('checks')).toContainText('limits met');
  // the row is laid anew a moment after the rib has moved
  await expect(async () => {
    const rib = await at(page, '[data-keep-out="0"] .body');
    for (const hole of await holes(page).all()) {
      const box = await hole.locator('.target').boundingBox();
      // half of ¼, half a head, tools ⅛
      const offIn = Math.abs((box?.x ?? 0) + (box?.width ?? 0) / 2 - rib.x) / pxPerIn;
      expect(offIn).toBeGreaterThan(0.37);
    }
  }).toPass();
  await saved(page);
  await page.reload();
  await expect(page.getByTestId('keep-out-name-1')).toHaveValue('rib');
});

test('a hole is held open with a reason, and that is impossible to overlook', async ({
  page,
  app
}) => {
  await openOwn(page, app, FLOAT_LAP, 'layout');
  await page.locator('[data-hole="7"]').click();
  await page.getByRole('button', { name: LAYOUT.holdOpen }).click();
  await page.getByTestId('held-for latch').click();
  await expect(page.locator('[data-hole="7"]')).toHaveAttribute('data-kind', 'held-open');
  await expect(page.locator('[data-hole="7"]')).toContainText('open');
  await expect(page.getByTestId('picked-hole')).toContainText('open hole: latch');
  await expect(page.getByTestId('warning-held-open')).toBeVisible();
  // one fewer than the load asks for
  await expect(
    page.getByRole('complementary', { name: LAYOUT.worksheet }).getByTestId('warning-too-few')
  ).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.locator('[data-hole="7"]')).toHaveAttribute('data-kind', 'held-open');
  await page.locator('[data-hole="7"]').click();
  await page.keyboard.press('h');
  await expect(page.locator('[data-hole="7"]')).toHaveAttribute('data-kind', 'rivet');
});

test('keys move, pin and take out a hole; a broken limit points at it', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'layout');
  await page.locator('[data-hole="5"]').click();
  await expect(page.getByTestId('picked-hole')).toContainText('exact 1.9792 in');
  for (let step = 0; step < 5; step++) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByTestId('picked-hole')).toContainText('exact 2.0573 in');
  await expect(page.getByTestId('checks')).toContainText('limits violated');
  await page.getByTestId('warning-pitch-min').getByRole('button', { name: '6' }).click();
  await expect(page.getByTestId('picked-hole')).toContainText('Hole 6');
  await page.locator('[data-hole="5"]').click();
  for (let step = 0; step < 5; step++) await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByTestId('checks')).toContainText('limits met');

  await page.keyboard.press('Delete');
  await expect(page.locator('[data-testid="plan-view"] [data-hole="5"]')).toHaveCount(0);
  await expect(
    page.getByRole('complementary', { name: LAYOUT.worksheet }).getByTestId('warning-too-few')
  ).toBeVisible();
  await page.getByTestId('put-back').click();
  await expect(holes(page)).toHaveCount(50);

  await page.locator('[data-hole="5"]').click();
  await page.keyboard.press('p');
  await expect(page.getByTestId('picked-hole')).toContainText('pinned');
  await expect(page.getByTestId('pinned-at')).toHaveValue('1.979167');
});

test('existing holes are picked up by two tapes and dragged true', async ({ page, app }) => {
  await openOwn(page, app, FRAME_FLANGE, 'layout');
  const count = await page.locator('[data-fixed]').count();
  await page.getByRole('button', { name: LAYOUT.pickUpExistingHoles }).click();
  await page.getByText(LAYOUT.fromTwoPoints).click();
  // from (0, 0) and (19 1/4, 0) to (16, 9/32)
  for (const [label, text] of [
    ['B, right', '19 1/4'],
    ['Tape from A', '16.002471'],
    ['Tape from B', '3.262147']
  ] as const)
    await page.getByLabel(label).fill(text);
  await expect(page.getByTestId('met')).toContainText('16');
  await page.getByRole('button', { name: LAYOUT.takeItUp }).click();
  await expect(page.getByText('1 fixed hole added')).toBeVisible();
  await page.getByRole('button', { name: COMMON.close }).click();
  await expect(page.locator('[data-fixed]')).toHaveCount(count + 1);
  const typed = page.getByTestId('existing-at').last();
  const before = Number(await typed.inputValue());
  expect(before).toBeCloseTo(16, 3);
  await drag(page, `:nth-match([data-fixed], ${count + 1})`, -24, 0);
  await expect.poll(async () => Number(await typed.inputValue())).toBeLessThan(before - 0.2);
});

test('running distances are taken up in any unit, and one that is none is named', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Old row', ['0.040', '0.040', '10']);
  await page.getByLabel(SIZE.jointLocationCountFactor).selectOption('intermediate-frame');
  await toStation(page, 2);
  await page.getByRole('button', { name: LAYOUT.pickUpExistingHoles }).click();
  await page.getByLabel(LAYOUT.distancesFromTheLinesBeginning).fill('2 1/2; 127mm; wide');
  await expect(page.getByText('wide: no length')).toBeVisible();
  await page.getByLabel(LAYOUT.distancesFromTheLinesBeginning).fill('2 1/2; 127mm');
  await page.getByTestId('take-up').click();
  await page.getByRole('button', { name: COMMON.close }).click();
  await expect(page.locator('[data-kind="existing"]')).toHaveCount(2);
  // measured: too small for the rivet planned, then good for it
  await page.getByTestId('existing-hole-1').fill('0.120');
  await expect(page.getByTestId('existing-judged-1')).toContainText('too small for dash');
  await expect(page.getByTestId('warning-existing-small')).toBeVisible();
  await page.getByTestId('existing-state-2').selectOption('riveted');
  await expect(page.getByTestId('existing-judged-2')).toContainText('remove the old rivet');
});

test('marks are measured from another datum', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'layout');
  await expect(page.locator('[data-mark="1"]')).toContainText('9/32');
  await page.getByLabel(LAYOUT.datum, { exact: true }).selectOption('end');
  // 10 3/4 − 9/32
  await expect(page.locator('[data-mark="1"]')).toContainText('10 15/32');
  await expect(page.locator('[data-mark="25"]')).toContainText('9/32');
  await page.getByLabel(LAYOUT.datum, { exact: true }).selectOption('start');
  await saved(page);
});

test('headroom letters every hole by the largest size that fits', async ({ page, app }) => {
  await openDemo(page, app, /Hull side, flush patch/, 'layout');
  await page.getByRole('radiogroup').getByText(LAYOUT.reworkMargin, { exact: true }).click();
  const first = page.locator('[data-testid="plan-view"] [data-hole="1"]');
  await expect(first.locator('.letter')).toHaveText('6');
  await expect(figure(page, 'Holes')).toContainText('72');
});

test('a row with much in its way is solved in a worker, and can be cancelled', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Very long lap', ['0.040', '0.040', '1150']);
  await page.getByLabel(SIZE.rivetsPerInchFromApproved).fill('1');
  await page.getByLabel(SIZE.whoseFigureAndWhereIt).fill('made up');
  await toStation(page, 2);
  await page.getByLabel(LAYOUT.ruler, { exact: true }).selectOption('0.01');
  await expect(figure(page, 'Holes')).toContainText('1150');
  await page.getByTestId('add keep-out').click();
  const solving = page.getByTestId('solving');
  // the keep-out as it was added may take solving too: it is another one than the one that is canceled
  await expect(solving).toHaveCount(0);
  // at once, however fast the machine: the button stands only as long as the solving
  await page.evaluate(() => {
    new MutationObserver((_, watch) => {
      const box = document.querySelector('[data-testid=solving]');
      const cancel = box?.querySelector('button');
      if (!cancel || !box?.textContent.includes('Calculating rows')) return;
      watch.disconnect();
      cancel.click();
    }).observe(document.body, { childList: true, subtree: true, characterData: true });
  });
  await page.getByLabel(LAYOUT.width, { exact: true }).fill('1/8');
  await expect(solving).toContainText(LAYOUT.canceled);
  // the page never stopped: another change starts it anew, and it ends
  await page.getByTestId('keep-out-name-1').fill('spar');
  await expect(figure(page, 'Holes')).toContainText('1150', { timeout: 45_000 });
  // whole with its holes on one canvas, and in lines where they are asked for
  await expect(page.getByTestId('plan-canvas')).toBeVisible();
  await page.getByRole('radio', { name: LAYOUT.n24In }).check({ force: true });
  await expect(page.getByTestId('story-line')).not.toHaveCount(0);
});
