import { SIZE } from '../../src/lib/words/pages/size.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { STACK } from '../../src/lib/words/pages/stack.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import {
  beginJoint,
  expect,
  figure,
  holes,
  makeJoint,
  openDemo,
  saved,
  test,
  toStation
} from './app.ts';

test('a butt splice: rows on both sides, a strap, two grips', async ({ page, app }) => {
  await beginJoint(page, app, 'splice', 'Web splice', ['0.040', '0.050']);
  await page.getByTestId('asked-widthIn').fill('6');
  await page.getByTestId('asked-gapIn').fill('1/8');
  await page.getByTestId('asked-farSheetIn').fill('0.032');
  await page.getByLabel(SIZE.rivetsPerInchFromApproved).fill('2');
  await expect(page.getByText('source of rivets per inch').first()).toBeVisible();
  await page.getByLabel(SIZE.whoseFigureAndWhereIt).fill('repair sheet QR-40');
  // 2 an inch × 6
  await expect(figure(page, 'Rivets needed')).toContainText('12');
  await toStation(page, 2);
  await expect(figure(page, 'Holes')).toContainText('24');
  await expect(figure(page, 'Strap')).toBeVisible();
  await expect(holes(page)).toHaveCount(24);
  await page.locator('[data-hole="24"]').click();
  await toStation(page, 3);
  // 0.032 + 0.050
  await expect(figure(page, 'Grip')).toContainText('0.082');
  await page.getByRole('radio', { name: /near side/ }).click();
  await expect(figure(page, 'Grip')).toContainText('0.090');
});

test('a flush rectangular patch: insert, doubler, reliefs, and a stop-drilled crack', async ({
  page,
  app
}) => {
  await beginJoint(page, app, 'patch', 'Side patch', ['0.032', '0.040']);
  await page.getByTestId('asked-cutoutWIn').fill('4');
  await page.getByTestId('asked-cutoutHIn').fill('3');
  await page.getByTestId('asked-carries-attach').click();
  await page.getByRole('radio', { name: '4', exact: true }).first().check({ force: true });
  await toStation(page, 2);
  // skin line 4 9/16 × 3 9/16 (4 and 3 spaces), insert 3 3/8 × 2 3/8 (3 and 2): 14 + 10
  await expect(figure(page, 'Holes')).toContainText('24');
  await expect(figure(page, 'Doubler')).toContainText('5.125 × 4.125');
  await expect(page.getByTestId('warning-insert-corner').first()).toBeVisible();
  await page.getByTestId('way-round-corners').click();
  await expect(page.getByTestId('warning-insert-corner')).toHaveCount(0);
  await page.getByText(LAYOUT.layoutSteps).click();
  await expect(page.getByTestId('metal-steps')).toContainText(
    'Drill the corner relief holes first'
  );
  await toStation(page, 1);
  await page.getByTestId('asked-style-plate-over').click();
  await page.getByTestId('asked-crackIn').fill('1 1/2');
  await toStation(page, 2);
  await expect(page.getByTestId('plan-view')).toContainText('#40 stop-drill');
});

test('a round patch: rings on bolt circles, marked from their centre lines', async ({
  page,
  app
}) => {
  await beginJoint(page, app, 'round', 'Bilge patch', ['0.032', '0.040']);
  await page.getByTestId('asked-cutoutIn').fill('3');
  await page.getByTestId('asked-insert-no').click();
  await page.getByTestId('asked-carries-attach').click();
  await page.getByRole('radio', { name: '4', exact: true }).first().check({ force: true });
  await toStation(page, 2);
  await expect(figure(page, 'Holes')).toContainText('8');
  await page.locator('[data-mark="2"]').click();
  // 1.78125 / √2 = 1.2595 → 1 1/4 on 32nds
  await expect(page.locator('[data-mark="2"]')).toContainText('→ 1 1/4');
  await expect(page.getByTestId('picked-hole')).toContainText('Hole 2');
  await page.getByTestId('asked-rings-2').click();
  await expect(page.getByLabel(LAYOUT.rivetLine)).toContainText('skin ring 2');
});

test('a line on a flange: divided between two holes, clear of the bend', async ({ page, app }) => {
  await beginJoint(page, app, 'line', 'Frame line', ['0.032', '0.040']);
  await page.getByTestId('asked-lengthIn').fill('10');
  await page.getByTestId('asked-flangeIn').fill('3/4');
  await page.getByTestId('asked-bendRadiusIn').fill('1/8');
  await page.getByTestId('asked-carries-attach').click();
  await toStation(page, 2);
  await page.getByTestId('add divided span').click();
  await page.getByLabel(LAYOUT.fromTheHoleAt).fill('2');
  await page.getByLabel(LAYOUT.toTheHoleAt).fill('6');
  await expect(
    page
      .locator('[data-mark]', { hasText: /^\s*hole \d+: exact 3\.000/ })
      .or(page.locator('[data-mark] >> text="3"'))
  ).not.toHaveCount(0);
  await toStation(page, 1);
  await page.getByTestId('asked-flangeIn').fill('1/2');
  await toStation(page, 2);
  await expect(
    page.getByRole('complementary', { name: LAYOUT.worksheet }).getByTestId('warning-bend-clear')
  ).toBeVisible();
});

test('a long tapered member: size zones and a rivet length for every grip', async ({
  page,
  app
}) => {
  await openDemo(page, app, /Front spar cap/, 'layout');
  await expect(figure(page, 'Holes')).toContainText('376');
  await expect(figure(page, 'Pitch, zone 2 (dash 5)')).toBeVisible();
  await page.getByLabel(LAYOUT.rivetLine, { exact: true }).selectOption('line-2-zone-2');
  await expect(page.getByTestId('picked-hole')).toContainText('line 2, zone 2');
  await toStation(page, 3);
  await expect(
    page.getByRole('radiogroup', { name: STACK.stacksOfThisJoint }).getByRole('radio')
  ).toHaveCount(4);
});

test('a frame round a clear panel: each side by itself, holes that let it grow', async ({
  page,
  app
}) => {
  await beginJoint(page, app, 'panel', 'Side window', ['0.040', '0.125', '0.050']);
  await page.getByTestId('asked-widthIn').fill('20');
  await page.getByLabel(COMMON.height).fill('12');
  await page.getByTestId('asked-frameIn').fill('1');
  await page.getByRole('radio', { name: '4', exact: true }).first().check({ force: true });
  await toStation(page, 2);
  await expect(figure(page, 'Hole in the panel')).toContainText('#9');
  await expect(figure(page, 'Holes')).toContainText('42');
  await page.getByTestId('asked-topCount').fill('16');
  await expect(figure(page, 'Holes')).toContainText('44');
  await page.getByText(LAYOUT.layoutSteps).click();
  await expect(page.getByTestId('metal-steps')).toContainText('so that the panel can grow');
});

test('a member between two straps: single and double shear', async ({ page, app }) => {
  await beginJoint(page, app, 'double-strap', 'Stringer', ['0.040', '0.063', '0.040']);
  await page.getByTestId('asked-widthIn').fill('4');
  await page.getByRole('radio', { name: '4', exact: true }).first().check({ force: true });
  await expect(figure(page, 'Rivets needed')).toContainText('39');
  await page.getByTestId('asked-shear-double').click();
  await expect(figure(page, 'Rivets needed')).toContainText('20');
  await expect(page.getByTestId('warning-double-shear')).toBeVisible();
  await saved(page);
});

test('alternatives stand side by side, and choosing one fills the joint', async ({ page, app }) => {
  await openDemo(page, app, /Wing root, flush lap/, 'layout');
  await page.getByText(LAYOUT.alternatives).click();
  const others = page.getByTestId('alternatives');
  await expect(others.locator('article').nth(2)).toBeVisible();
  const card = others.locator('article', { hasText: 'Three rows staggered' });
  const rivets = /(\d+)/.exec((await card.locator('.count').textContent()) ?? '')?.[1] ?? '';
  await card.getByRole('button', { name: LAYOUT.useThisLayout }).click();
  await expect(figure(page, 'Holes')).toContainText(rivets);
  await page.keyboard.press('Control+z');
  await expect(figure(page, 'Holes')).toContainText('54');
});

test('strength over pitch says what governs and where the joint stands', async ({ page, app }) => {
  await openDemo(page, app, /Keelson web/, 'size');
  await page.getByText(SIZE.strengthOverPitch).click();
  const chart = page.getByTestId('efficiency');
  await expect(chart).toContainText('least 3 D');
  await expect(chart).toContainText('most 12 D');
  await expect(chart).toContainText(/here: \d+ % at 4\.1 D/);
  await expect(chart).toContainText(LAYOUT.rivetsShearFirst);
});

test('a broken stringer: lines along it, rows across as the other way', async ({ page, app }) => {
  await beginJoint(page, app, 'double-strap', 'Stringer splice', ['0.040', '0.050', '0.040']);
  await page.getByTestId('asked-widthIn').fill('1');
  await page.getByLabel(SIZE.jointLocationCountFactor).selectOption('stringer');
  await page.getByRole('radio', { name: '4', exact: true }).first().check({ force: true });
  // 7.7 an inch × 1 × 0.8: 7 on each side, four in each of two lines
  await expect(figure(page, 'Rivets needed')).toContainText('7');
  await toStation(page, 2);
  await expect(figure(page, 'Holes')).toContainText('16');
  await expect(page.getByText('Straps', { exact: true })).toBeVisible();
  await page.getByTestId('asked-run-across').click();
  await expect(page.getByTestId('way-lines-along')).toBeVisible();
  await page.getByTestId('way-lines-along').click();
  await expect(figure(page, 'Holes')).toContainText('16');
});

test('the distance between end holes is measured, and named where it is not as planned', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Measured lap', ['0.040', '0.040', '6']);
  await page.getByLabel(SIZE.rivetsPerInchFromApproved).fill('2.1');
  await page.getByLabel(SIZE.whoseFigureAndWhereIt).fill('repair sheet QR-41');
  await page.getByRole('radio', { name: '4', exact: true }).first().check({ force: true });
  await toStation(page, 2);
  await page.getByText(LAYOUT.layoutSteps).click();
  await page.getByLabel(LAYOUT.betweenThemAsMeasured).fill('5 1/2');
  // 6 − 2 × 9/32 = 5 7/16
  await expect(page.getByTestId('span-said')).toContainText('more than planned: 12 spaces of');
  await expect(page.getByText(/its end holes are .* further apart than planned/)).toBeVisible();
  await page.getByLabel(LAYOUT.betweenThemAsMeasured).fill('4.49');
  await expect(page.getByTestId('span-said')).toContainText('below minimum of');
  await saved(page);
  await page.reload();
  await page.getByText(LAYOUT.layoutSteps).click();
  await expect(page.getByLabel(LAYOUT.betweenThemAsMeasured)).toHaveValue('4.49');
});
