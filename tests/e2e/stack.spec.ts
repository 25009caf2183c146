import type { Page } from '@playwright/test';
import { BOTTOM_LAP, FIN_STRIP, FLUSH_LAP } from '../../scripts/demo-data.ts';
import { newSheet } from '../../src/core/joint/sheets.ts';
import { STACK } from '../../src/lib/words/pages/stack.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { draggable, expect, figure, openOwn, saved, test, toStation } from './app.ts';

const box = async (page: Page, selector: string) => {
  const found = await page.getByTestId('section').locator(selector).first().boundingBox();
  if (!found) throw new Error(`${selector} is not in the section`);
  return found;
};
const scale = async (page: Page) =>
  Number(await page.getByTestId('section').getAttribute('data-px-per-in'));

test('the rivet is driven to the band of heights, to scale all the way', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'stack-up');
  const pxPerIn = await scale(page);
  // a rivet 9/32 long, its stroke of 1.8 px left out
  expect(((await box(page, '[data-part="shank"]')).height - 1.8) / pxPerIn).toBeCloseTo(0.28125, 2);
  const band = await box(page, '[data-part="band"]');
  // 0.51 to 0.65 D of 1/8
  expect((band.height - 1) / pxPerIn).toBeCloseTo(0.0813 - 0.0642, 2);
  await expect(page.getByText(STACK.insideTheLimitsStopHere)).toBeVisible();

  await page.getByRole('button', { name: STACK.inserted }).click();
  await expect(page.getByText(STACK.theShankStillFillsThe)).toBeVisible();
  expect(((await box(page, '[data-part="shop-head"]')).height - 1.8) / pxPerIn).toBeCloseTo(
    0.20125,
    2
  );
  await page.getByRole('slider', { name: STACK.howFarItIsDriven }).press('End');
  await expect(page.getByText(/^overdriven: stop at 0.0642/)).toBeVisible();
  await page.getByRole('button', { name: STACK.goodHead }).click();
  await expect(page.getByText(STACK.insideTheLimitsStopHere)).toBeVisible();
});

test('lengths beside the chosen one say what they risk, with what is in stock', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'stack-up');
  const lengths = page.getByTestId('lengths');
  await expect(lengths.locator('[data-length="4.5"]')).toContainText('school: nearest');
  await expect(lengths.locator('[data-length="4.5"]')).toContainText('560');
  await expect(lengths.locator('[data-length="3"]')).toContainText('✕ reject');
  await expect(lengths.locator('[data-length="5.5"]')).toContainText('2.11 D');
  await expect(figure(page, 'Part number')).toHaveText('MS20470AD4-4.5');

  await page.getByRole('button', { name: STACK.billOfRivets }).click();
  await expect(page.locator('tr[data-part="MS20470AD4-4.5"]')).toContainText('50');
  await expect(page.locator('tr[data-part="MS20470AD4-4.5"]')).toContainText('55');
});

test('a measured rivet tells what is really in the grip, and is kept', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'stack-up');
  const field = page.getByLabel('Measured protrusion, hole 1');
  // letter by letter: nothing half typed takes the field or the joint away
  await field.pressSequentially('wide');
  await expect(field).toHaveValue('wide');
  await expect(figure(page, 'Part number')).toBeVisible();
  await field.fill('');
  await field.pressSequentially('0.188');
  // 0.28125 − 0.188 = 0.09325, 0.01325 over 0.080
  await expect(page.getByTestId('measured')).toContainText('0.0133');
  await expect(page.getByTestId('measured')).toContainText('chips, a burr or a gap');
  await expect(page.getByText(/Hole 1: 0.013[23] in more grip/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(field).toHaveValue('0.188');
  await field.fill('0.2');
  await expect(page.getByTestId('measured')).toContainText(STACK.asTheStackSays);
});

test('layers end along the joint: runs of one rivet, marked on plan and tape', async ({
  page,
  app
}) => {
  await openOwn(page, app, FIN_STRIP, 'stack-up');
  await page.getByText(STACK.layers, { exact: true }).click();
  await expect(page.getByTestId('layers').locator('[data-run]')).toHaveCount(2);
  await expect(page.getByTestId('layers').locator('[data-run="MS20426AD3-3.5"]')).toBeVisible();
  await toStation(page, 2);
  await expect(page.locator('[data-testid="plan-view"] [data-change]')).toHaveCount(3);
  await expect(page.locator('.tape [data-change]')).toContainText('3-3.5');

  // dragged an eighth back, the doubler ends too near the last rivets it has, and nothing is ordered
  await draggable(page);
  const end = page.locator('[data-drag="layer-end"] .grab');
  const at = await end.boundingBox();
  if (!at) throw new Error('no end is drawn');
  const px = Number(await page.getByTestId('plan-view').getAttribute('data-px-per-in'));
  await page.mouse.move(at.x + at.width / 2, at.y + at.height - 20);
  await page.mouse.down();
  await page.mouse.move(at.x + at.width / 2 - px / 8, at.y + at.height - 20, { steps: 6 });
  await page.mouse.up();
  await expect(
    page.getByRole('complementary', { name: LAYOUT.worksheet }).getByTestId('warning-layer-end-min')
  ).toBeVisible();
  await toStation(page, 4);
  await expect(page.getByTestId('stop-bar')).toContainText('An end of doubler is');
  await expect(page.locator('[data-step]')).toHaveCount(0);
  await page.getByTestId('fix-in-layout').click();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('warning-layer-end-min')).toHaveCount(0);

  // the doubler over the whole length: one rivet again
  await toStation(page, 3);
  await page.getByText(/to 4 9\/32/).click();
  await page.getByLabel(LAYOUT.endsAt).fill('');
  await expect(figure(page, 'Part number')).toHaveText('MS20426AD3-3.5');
  await page.getByText(STACK.layers, { exact: true }).click();
  await expect(page.getByTestId('layers').locator('[data-run]')).toHaveCount(1);
});

test('sheets change places by keys and by dragging, one step of undo', async ({ page, app }) => {
  await openOwn(
    page,
    app,
    { ...BOTTOM_LAP, sheets: [newSheet('skin', '0.040'), newSheet('strip', '0.032')] },
    'stack-up'
  );
  const name = (index: number) => page.getByTestId(`sheet-name-${index}`);
  await expect(name(1)).toHaveValue('skin');
  await page.getByTestId('move-sheet-1').focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(name(1)).toHaveValue('strip');
  await expect(page.getByTestId('thickness-1')).toHaveValue('0.032');
  await page.getByTestId('undo-edit').click();
  await expect(name(1)).toHaveValue('skin');

  await name(2).scrollIntoViewIfNeeded();
  const handle = await page.getByTestId('move-sheet-1').boundingBox();
  const under = await name(2).boundingBox();
  if (!handle || !under) throw new Error('nothing to drag');
  const x = handle.x + 8;
  const middle = handle.y + handle.height / 2;
  await page.mouse.move(x, middle);
  await page.mouse.down();
  await page.mouse.move(x, middle + 20, { steps: 5 });
  await page.mouse.move(x, under.y + under.height / 2, { steps: 15 });
  // A slow machine may take hold of it only with the last step: as a hand does, go on moving until the other has made room.
  const place = page.locator('[data-is-dnd-shadow-item-internal]');
  let nudge = 1;
  await expect
    .poll(async () => {
      const now = await place.evaluate((el) => {
        const all = [...(el.parentElement?.children ?? [])];
        const other = all.find((one) => one !== el)?.getBoundingClientRect();
        return { at: all.indexOf(el), y: other ? other.top + other.height / 2 : 0 };
      });
      if (now.at === 0) await page.mouse.move(x, now.y + (nudge = -nudge));
      return now.at;
    })
    .toBe(1);
  await page.mouse.up();
  await expect(page.locator('#dnd-action-dragged-el')).toHaveCount(0);
  await expect(name(1)).toHaveValue('strip');
  await saved(page);
  await page.reload();
  await expect(name(1)).toHaveValue('strip');
});

test('the flush rule is walked with its numbers, both angle schools beside it', async ({
  page,
  app
}) => {
  await openOwn(page, app, FLUSH_LAP, 'stack-up');
  await page.getByText(STACK.flushRule, { exact: true }).click();
  const rule = page.getByTestId('flush-rule');
  await expect(rule).toContainText('head 0.055 ≤ 0.071 + 0.002');
  // 0.054 deep for a head 0.001 high
  await expect(rule).toContainText('0.017 in left under the countersink');
  await expect(rule).toContainText(
    'flushness +0.001 in (0 to +0.002 in), never deeper than 0.055 in'
  );
  await expect(page.getByTestId('warning-marginal-countersink')).toBeVisible();

  // a thin skin over the 0.050 doubler: dimple, and a deeper cut beneath
  await page.getByTestId('thickness-1').fill('0.025');
  await page.getByTestId('thickness-2').fill('0.071');
  await expect(rule).toContainText('dimple the top, countersink beneath');
  await expect(rule).toContainText('punch 100°, die 110°');
  await expect(rule).toContainText('punch 100°, die 100°');
  // the same mouth with a 110° cutter is a start only
  await expect(rule).toContainText('deep to start with');
  // 0.3054 × 0.025 = 0.0076, in whole clicks that do not pass it
  await expect(rule).toContainText('0.00764 in = 7 clicks deeper than flush');
  await page.getByText(LAYOUT.materialFilm).first().click();
  await page.getByLabel(COMMON.material, { exact: true }).first().selectOption('7075-T6 clad');
  await expect(page.getByTestId('warning-dimple-hot')).toBeVisible();
  await page.getByLabel(LAYOUT.filmIsOn).first().check();
  await expect(page.getByTestId('warning-film-on')).toBeVisible();
});

test('a substitute says what changes and who must agree, and one tap plans it', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'stack-up');
  await page.getByText(STACK.substitutes, { exact: true }).click();
  const list = page.getByTestId('substitutes');
  await expect(list).toContainText('get approval before driving');
  await expect(list).toContainText('× 1.53');
  await list.getByLabel(STACK.inPlaceOfIt).selectOption('blind');
  await expect(list).toContainText('by its own approved data');
  await list.getByLabel(STACK.inPlaceOfIt).selectOption('alloy-DD');
  await expect(list).toContainText('icebox');
  await list.getByRole('button', { name: STACK.planTheJointWithIt }).click();
  await expect(figure(page, 'Part number')).toHaveText('MS20470DD4-4.5');
});
