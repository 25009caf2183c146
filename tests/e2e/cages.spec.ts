import type { Page } from '@playwright/test';
import { FLUSH_LAP } from '../../scripts/demo-data.ts';
import { MEASURED } from '../../src/lib/words/cages.ts';
import { CAGES } from '../../src/lib/words/pages/cages.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { READY } from '../../src/lib/words/pages/prepare.ts';
import { KIT } from '../../src/lib/words/pages/kit.ts';
import { WAITING } from '../../src/lib/words/pages/waiting.ts';
import { jointOf, expect, openOwn, test, type App } from './app.ts';

/** A cage of one's own with a pilot for dash 5; its page is open. */
async function ownCage(page: Page, app: App, name: string, query = ''): Promise<void> {
  await page.goto(`${app.url}/setups${query}`);
  await page.getByLabel(CAGES.cage, { exact: true }).fill(name);
  await page.getByLabel(CAGES.cutter, { exact: true }).fill('cutter 3');
  await page.getByLabel(CAGES.cutterDiameter).fill('1/2');
  await page.getByLabel(CAGES.pilotDiameter).fill('5/32');
  await page.getByLabel(CAGES.pilotLength).fill('.30');
  await page.getByRole('button', { name: CAGES.saveCage }).click();
  const card = page.getByRole('region', { name });
  await card.getByRole('link', { name: /Set up|Use this one/ }).click();
  await expect(page.getByRole('heading', { name: new RegExp(name) })).toBeVisible();
}

const flushField = (page: Page) => page.getByRole('textbox', { name: MEASURED.rivet });

async function coupon(page: Page, thickness: string, backing: string): Promise<void> {
  await page.getByLabel(CAGES.theCouponAsMeasured).fill(thickness);
  await page.getByLabel(CAGES.backingUnderIt).fill(backing);
}

/** What a page that was opened without a joint does not know. */
async function sheetAndHole(page: Page): Promise<void> {
  await page.getByRole('radio', { name: '5', exact: true }).check({ force: true });
  await page.getByLabel(CAGES.theSheetToCut).fill('0.071');
  await page.getByLabel(CAGES.theHole).fill('0.159');
}

/** A cage of one's own for dash 5 in 0.071 that waits for its first trial hole. */
async function ownTrials(page: Page, app: App, name: string): Promise<void> {
  await ownCage(page, app, name);
  await sheetAndHole(page);
  await coupon(page, '0.071', '3/4');
  await page.getByRole('button', { name: COMMON.beginTheTrials }).click();
  await expect(page.getByTestId('guide')).toContainText('Set the stop countersink shallow');
}

async function openGauge(page: Page): Promise<void> {
  await page.getByTestId('gauge-closed').click();
  await expect(page.getByTestId('gauge-simulated')).toBeVisible();
}

async function keep(page: Page, flushness: string, clicks?: string): Promise<void> {
  if (clicks !== undefined)
    await page.getByLabel(CAGES.clicksOnTheCage, { exact: true }).fill(clicks);
  await flushField(page).fill(flushness);
  await page.getByRole('button', { name: CAGES.keepThisHole }).click();
  await expect(flushField(page)).toHaveValue('');
}

test('a cage is set for a joint’s step, remembered, and looked at again while working', async ({
  page,
  app
}) => {
  await openOwn(page, app, FLUSH_LAP, 'prepare');
  const joint = page.url();
  await page.locator('[data-step="countersink-0-0"]').click();
  await expect(page.getByTestId('step-cage')).toContainText(READY.noCageIsSetFor);
  await page.getByRole('link', { name: READY.setACage }).click();
  await expect(page.getByTestId('task')).toContainText('54 holes, dash 5');
  await ownCage(page, app, 'Cage A', new URL(page.url()).search);

  // the joint has filled in its sheet and its hole; the coupon is to be measured
  await expect(page.getByLabel(CAGES.theSheetToCut)).toHaveValue('0.071');
  await expect(page.getByLabel(CAGES.theHole)).toHaveValue('0.159');
  await coupon(page, '0.050', '1/4');
  const checks = page.getByTestId('setup-checks');
  await expect(checks.locator('[data-check="pilot"]')).toContainText('0.00275 in loose');
  await expect(checks.locator('[data-check="coupon"]')).toContainText('take scrap of 0.071 in');
  await expect(checks.locator('[data-check="backing"]')).toContainText('Use 0.300 in or more');
  await expect(page.getByRole('button', { name: COMMON.beginTheTrials })).toBeDisabled();
  await coupon(page, '.0705', '1/2');
  await page.getByRole('button', { name: COMMON.beginTheTrials }).click();

  // 0.0115 proud: 10.5 clicks to the middle, half of it is 5 while a click is only assumed
  const guide = page.getByTestId('guide');
  await keep(page, '.0115', '3');
  await expect(guide).toContainText('Set 8: 5 clicks deeper');
  await expect(page.locator('[data-next="8"]')).toBeVisible();
  // where one would go too far, that is said before the hole is cut
  await page.getByLabel(CAGES.clicksOnTheCage, { exact: true }).fill('16');
  await expect(page.getByText('below the low limit. Go to 8.')).toBeVisible();
  await keep(page, '+3.8 thou', '10');
  await expect(guide).toContainText('Set 12: 2 clicks deeper');
  await expect(page.locator('[data-next="12"]')).toBeVisible();
  await keep(page, '0.0016');
  await expect(guide).toContainText('Cut 2 more holes');
  await page.reload();
  await expect(guide).toContainText('Cut 2 more holes');
  await keep(page, '0.0012');
  await keep(page, '0.0014');
  await expect(guide).toContainText('Set: flush at 12 clicks');
  await page.getByTestId('keep-setting').click();
  await expect(page.getByTestId('tape')).toContainText('flush 12');

  // at work: after ten holes it is time to look
  await page.goto(joint);
  await page.locator('[data-step="countersink-0-0"]').click();
  await expect(page.getByTestId('step-cage')).toContainText('Next re-check after hole 10');
  for (let hole = 1; hole <= 10; hole++) await page.locator(`[data-hole="${hole}"]`).click();
  await expect(page.getByTestId('step-cage')).toContainText('Re-check now: 10 holes');
  await expect(page.getByTestId('step-card')).toContainText('10 of 54 holes; left: 11–54');
  const stored = `${app.url}/api/events/step/${jointOf(page)}`;
  await expect
    .poll(async () => ((await (await page.request.get(stored)).json()) as unknown[]).length)
    .toBe(10);
  await page.getByRole('link', { name: READY.reCheck, exact: true }).click();
  await expect(page.getByLabel(CAGES.holesCutSoFar)).toHaveValue('10');
  await flushField(page).fill('-0.0007');
  await page.getByRole('button', { name: CAGES.keepThisReCheck }).click();
  await expect(page.getByTestId('rechecks')).toContainText('Inspect the holes cut as 1–10');
  await expect(page.getByTestId('recheck-log')).toContainText(CAGES.tooDeep);
  // what cannot follow is said at once, and what was typed stays
  await page.getByLabel(CAGES.holesCutSoFar).fill('4');
  await flushField(page).fill('0.0011');
  await page.getByRole('button', { name: CAGES.keepThisReCheck }).click();
  await expect(page.getByText('last re-check was after 10 holes; 4 is earlier')).toBeVisible();
  await expect(flushField(page)).toHaveValue('0.0011');
});

test('a setting that this cage had is offered, with its day, to be checked first', async ({
  page,
  app
}) => {
  await ownTrials(page, app, 'Cage B');
  for (const reading of ['0.0012', '0.0011', '0.0013']) await keep(page, reading, '18');
  await page.getByTestId('keep-setting').click();
  await expect(page.getByTestId('tape')).toContainText('flush 18');
  await page.getByRole('link', { name: 'Cage B, cutter 3' }).click();
  await sheetAndHole(page);
  await coupon(page, '.071', '.75');
  await expect(page.getByTestId('offer')).toContainText('flush at 18 clicks');
  await expect(page.getByTestId('offer')).toContainText('Verify on scrap');
  await page.getByRole('button', { name: COMMON.beginTheTrials }).click();
  await expect(page.getByTestId('guide')).toContainText('Advance to 18 (last setting)');
  await expect(page.getByLabel(CAGES.clicksOnTheCage, { exact: true })).toHaveValue('18');
});

test('the guide is followed to the end with the simulated gauge, as practice', async ({
  page,
  app
}) => {
  await ownTrials(page, app, 'Cage C');
  await openGauge(page);
  const panel = page.getByTestId('gauge-panel');
  const cut = panel.getByTestId('cut-and-read');
  await expect(cut).toBeDisabled();
  // a reading that comes before the gauge was zeroed is not taken
  const path = page.url().replace(/\/setups\/([^/]+)\/.*/, '/api/devices/depth-gauge/$1');
  const say = (...lines: string[]) =>
    page.request.post(path, { data: { lines }, headers: { origin: app.url } });
  expect((await say('SIM CUT', 'READ')).ok()).toBe(true);
  await expect(panel.getByText(CAGES.zeroTheGaugeOnThe)).toBeVisible();
  await expect(flushField(page)).toHaveValue('');
  await panel.getByRole('button', { name: CAGES.zeroOnBareSkin }).click();

  const guide = page.getByTestId('guide');
  await page.getByLabel(CAGES.clicksOnTheCage, { exact: true }).fill('12');
  for (let hole = 1; hole <= 14; hole++) {
    await cut.click();
    await expect(flushField(page)).toHaveValue(/^[+-]0\.\d{4,5}$/);
    await page.getByRole('button', { name: CAGES.keepThisHole }).click();
    await expect(page.getByTestId('trials').locator('tbody tr')).toHaveCount(hole);
    await expect(guide).not.toContainText('Too deep');
    if ((await guide.textContent())?.includes('Set: flush at')) break;
  }
  await expect(guide).toContainText('Set: flush at');
  await page.getByTestId('keep-setting').click();
  await expect(page.getByTestId('tape')).toContainText(CAGES.practice);
  await page.goto(`${app.url}/setups`);
  await expect(page.getByRole('region', { name: 'Cage C' })).toContainText(CAGES.practiceOnly);
});

test('readings that do not fit bring up what makes them false; a false one is struck', async ({
  page,
  app
}) => {
  await ownTrials(page, app, 'Cage D');
  await keep(page, '0.0061', '8');
  await keep(page, '0.0043', '8');
  await expect(page.getByTestId('guide')).toContainText('Test holes disagree');
  await expect(page.getByTestId('doubts')).toContainText('differ by 0.0018 in');
  await expect(page.getByTestId('doubts')).toContainText('The lock ring is loose');
  await page.getByTestId('strike-1').click();
  await page.getByLabel(KIT.whyIsItFalse).fill('chips under the cage');
  await page.getByRole('button', { name: KIT.strikeIt }).click();
  await expect(page.getByTestId('trials')).toContainText('voided: chips under the cage');
  await expect(page.getByTestId('doubts')).toHaveCount(0);
  await expect(page.getByTestId('guide')).toContainText('Set 9: 1 click deeper');

  // too deep, and back: only from the shallow side
  await keep(page, '-0.0009', '11');
  await expect(page.getByTestId('guide')).toContainText('Too deep. Back off to 4, advance to 9');
  await keep(page, '-0.0008', '9');
  await expect(page.getByTestId('guide')).toContainText('Back off to 4, advance to 9');
  await page.getByLabel(/I backed off to 4/).check();
  await keep(page, '0.0013', '9');
  await expect(page.getByTestId('guide')).toContainText('Leave it at 9. Cut 2 more holes');
});

test('a trial kept without the server is sent once it is back; an open gauge keeps nothing up', async ({
  page,
  app
}) => {
  await ownTrials(page, app, 'Cage E');
  await keep(page, '0.0093', '5');
  await openGauge(page);
  const began = Date.now();
  await app.stop();
  // the stream of the gauge is open: the server must not wait for it
  expect(Date.now() - began).toBeLessThan(8000);
  await keep(page, '0.0061', '8');
  await expect(page.getByTestId('kept-here')).toBeVisible();
  await expect(page.getByTestId('trials').locator('tbody tr')).toHaveCount(2);
  await app.start();
  await expect(page.getByTestId('kept-here')).toHaveCount(0, {
    timeout: 15_000
  });
  await page.reload();
  await expect(page.getByTestId('trials').locator('tbody tr')).toHaveCount(2);
});

test('one window of a browser reads the gauge, whichever is looked at; saves never wait for it', async ({
  page,
  app,
  context
}) => {
  await ownTrials(page, app, 'Cage F');
  await openGauge(page);
  const windows = [page];
  for (let more = 0; more < 6; more++) {
    const other = await context.newPage();
    await other.goto(page.url());
    await other.locator('html[data-awake]').waitFor({ state: 'attached' });
    await openGauge(other);
    windows.push(other);
  }
  for (const other of windows.slice(0, -1))
    await expect(other.getByTestId('gauge-away')).toBeVisible();
  // seven windows with the panel open, and a save goes through at once
  await keep(page, '0.0093', '5');
  await expect(page.getByText(WAITING.notStoredYet)).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId('trials').locator('tbody tr')).toHaveCount(1);
  // looked at again, the first one takes it back
  await openGauge(page);
  const last = windows.at(-1) ?? page;
  await expect(last.getByTestId('gauge-away')).toBeVisible();
});
