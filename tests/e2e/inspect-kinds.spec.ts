import { LOOKS } from '../../src/lib/words/heads.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { BLINDS } from '../../src/lib/words/pages/blinds.ts';
import { BLIND_FINDINGS, BLIND_STANDINGS } from '../../src/lib/words/blind-rivets.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { OLD_SIGNS } from '../../src/core/old-work/signs.ts';
import { AROUND_WORDS, DISPOSITIONS } from '../../src/lib/words/old-work.ts';
import { OLD_WORK } from '../../src/lib/words/pages/old-work.ts';
import { beginJoint, expect, openDemo, openOwn, test, toStation, headNow } from './app.ts';

test('a held-open hole is never asked for at Check, and its blind rivet is put in and looked at', async ({
  page,
  app
}) => {
  await beginJoint(page, app, 'line', 'Flange to check', ['0.032', '0.040']);
  await page.getByTestId('asked-lengthIn').fill('10');
  await page.getByTestId('asked-flangeIn').fill('1');
  await page.getByTestId('asked-bendRadiusIn').fill('1/8');
  await page.getByTestId('asked-carries-attach').click();
  await toStation(page, 2);
  await page.locator('[data-testid="plan-view"] [data-hole="3"]').click();
  await page.getByRole('button', { name: LAYOUT.holdOpen }).click();
  // a blind rivet too short for 0.072 of sheets is not released
  await page.getByLabel(BLINDS.fastener).fill('NAS1398D4-1');
  await page.getByLabel('Drill size').click();
  await expect(page.getByLabel('Drill size')).toHaveValue('#30');
  await page.getByTestId('held-for latch').click();
  await expect(page.getByTestId('picked-hole')).toContainText('NAS1398D4-1');
  await expect(page.getByTestId('warning-open-blind').first()).toContainText(
    'does not fit the sheets at hole 3'
  );
  await page.getByRole('button', { name: 'Rivet this hole' }).click();
  await page.getByRole('button', { name: LAYOUT.holdOpen }).click();
  await page.getByLabel(BLINDS.fastener).fill('NAS1398D4-2');
  await page.getByLabel('Drill size').click();
  await page.getByTestId('held-for latch').click();
  await expect(page.getByTestId('warning-open-blind')).toHaveCount(0);
  await toStation(page, 6);
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  const blind = page.getByTestId('blind 3');
  await expect(blind).toContainText('grip over 1/16 in up to 1/8 in; stack-up 0.072 in');
  await blind.getByLabel(BLINDS.lot).fill('BL-7');
  await blind.getByRole('button', { name: BLINDS.putIn }).click();
  await expect(blind).toContainText(BLIND_STANDINGS['not-inspected']);
  await expect(blind).toContainText('lot BL-7');
  await blind.getByRole('button', { name: BLIND_FINDINGS['stem-high'] }).click();
  await blind.getByRole('button', { name: BLINDS.record }).click();
  await expect(blind).toContainText(BLIND_STANDINGS.bad);
  await blind.getByLabel(BLINDS.whyOut).fill('stem high');
  await blind.getByRole('button', { name: BLINDS.isOut }).click();
  await blind.getByRole('button', { name: BLINDS.putIn }).click();
  await blind.getByRole('button', { name: BLINDS.nothingWrong }).click();
  await expect(blind).toContainText(BLIND_STANDINGS.good);
  const map = page.getByTestId('hole-map');
  await expect(map.locator('[data-hole]')).toHaveCount(7);
  await expect(map.locator('[data-held-open="3"]')).toContainText('open');
  await map.locator('[data-hole="2"]').click();
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.19');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.062');
  await page.getByTestId('record').click();
  // on to the next that gets a rivet
  await expect(headNow(page, 4)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('[');
  await expect(headNow(page, 2)).toBeVisible();
});

test('every head of a member with two sizes is judged by its own', async ({ page, app }) => {
  await openDemo(page, app, /Front spar cap/, 'inspect');
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await expect(page.getByText(/MS20470AD6-7/).first()).toBeVisible();
  await page.locator('[data-testid="hole-map"] [data-hole="2"]').click();
  // 0.28 over 6/32 is 1.49 D, 0.095 is 0.51 D: good for dash 6
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.28');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.095');
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'not-complete');
  await page.locator('[data-testid="hole-map"] [data-hole="376"]').click();
  // over 5/32 it is 1.79 D: too long a rivet
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.28');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.095');
  await expect(page.getByTestId('verdict')).toContainText('wide (1.79 D)');
  // 1.93 D wide and half a diameter high passes on a condition: that is no plain good
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.302');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.078');
  await page.getByRole('textbox', { name: COMMON.diameter }).press('c');
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText(CHECK.goodIfStraightAndThe);
  const record = page.getByTestId('record');
  await expect(record).toBeDisabled();
  await page.getByLabel(LOOKS.straight).check();
  await expect(record).toBeDisabled();
  await page.getByLabel(LOOKS.flat).check();
  await expect(record).toBeEnabled();
  // another figure asks for another look
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.301');
  await expect(record).toBeDisabled();
  await page.getByLabel(LOOKS.straight).check();
  await page.getByLabel(LOOKS.flat).check();
  await page.getByTestId('record').click();
  await page.locator('[data-testid="hole-map"] [data-hole="376"]').click();
  await expect(page.getByTestId('last-reading')).toContainText(LOOKS.flat);
});

test('a round patch is checked where its rings lie', async ({ page, app }) => {
  await openDemo(page, app, /Bilge hole/, 'layout');
  await toStation(page, 6);
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  const at = async (hole: number) => {
    const box = await page
      .locator(`[data-testid="hole-map"] [data-hole="${hole}"] .target`)
      .boundingBox();
    if (!box) throw new Error(`hole ${hole} is not on the map`);
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  // nine on the inner ring, hole 1 at the top; seen from the driven side hole 2 lies to the left
  const [first, second, last] = [await at(1), await at(2), await at(9)];
  expect(second.x).toBeLessThan(first.x);
  expect(last.x).toBeGreaterThan(first.x);
  expect(second.y).toBeGreaterThan(first.y);
  expect(Math.abs(second.y - last.y)).toBeLessThan(1.5);
});

test('old work is found, looked around and decided before anything is released', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  const card = page.getByTestId('old-work');
  await page.getByText(OLD_WORK.title).click();
  await card.getByLabel(OLD_WORK.sign).selectOption('crack');
  await card.getByLabel(OLD_WORK.where).fill('old row, hole 5');
  await card.getByLabel(OLD_WORK.hours).fill('4120');
  await card.getByRole('button', { name: OLD_WORK.record }).click();
  const finding = page.getByTestId('old-finding');
  await expect(finding).toContainText('Found in service at old row, hole 5');
  for (const what of OLD_SIGNS.crack.around)
    await finding
      .getByRole('button', { name: `${OLD_WORK.looked}: ${AROUND_WORDS[what]}` })
      .click();
  await expect(finding).toContainText(`Inspected ${AROUND_WORDS.cracks}`);
  // a crack is not left on the mechanic's word
  await finding.getByText(DISPOSITIONS.leave, { exact: true }).click();
  await finding.getByRole('button', { name: OLD_WORK.decide }).click();
  await expect(card).toContainText(OLD_WORK.notTaken);
  await finding.getByText(DISPOSITIONS.refer, { exact: true }).click();
  await finding.getByRole('button', { name: OLD_WORK.decide }).click();
  await expect(finding).toContainText('refer to engineering');
  await expect(page.getByText(`${OLD_WORK.title}: 1, ${OLD_WORK.settled}`)).toBeVisible();
  await page.reload();
  await expect(page.getByText(`${OLD_WORK.title}: 1, ${OLD_WORK.settled}`)).toBeVisible();
});
