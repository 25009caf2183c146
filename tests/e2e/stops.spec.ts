import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { KIT } from '../../src/lib/words/pages/kit.ts';
import { STACK } from '../../src/lib/words/pages/stack.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { SIZE } from '../../src/lib/words/pages/size.ts';
import { expect, makeJoint, test, toStation } from './app.ts';

test('a stop travels: its station, all after it, the release; a tick means looked at as it is', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Nose skin, flush', ['0.040', '0.040', '7 3/16']);
  const line = page.getByRole('navigation', { name: BENCH.stations });
  const stationLink = (key: string) => line.locator(`a[href$="/${key}"]`);

  // what was computed is not looked at yet
  await expect(stationLink('layout')).toContainText('○');
  await expect(stationLink('size')).toContainText('✓');
  await toStation(page, 2);
  await expect(stationLink('layout')).toContainText('✓');

  // a dash 5 head is deeper than its sheet
  await toStation(page, 1);
  await page.getByText(KIT.flush100, { exact: true }).click();
  await page.getByText('5', { exact: true }).click();
  await expect(stationLink('stack-up')).toContainText('✕');
  await expect(stationLink('stack-up')).toContainText('Knife edge');
  await expect(stationLink('prepare')).toContainText('△');
  await expect(stationLink('prepare')).toContainText('blocked by Stack-up');
  // the holes moved: what was seen there is no longer so
  await expect(stationLink('layout')).toContainText('○');
  await expect(page.getByTestId('stop-bar')).toHaveCount(0);

  await toStation(page, 4);
  const bar = page.getByTestId('stop-bar');
  await expect(bar).toContainText('Knife edge');
  await expect(page.locator('[data-step]')).toHaveCount(0);
  await toStation(page, 6);
  await expect(page.getByTestId('release')).toBeDisabled();
  await expect(page.getByTestId('no-release')).toBeVisible();
  await bar.getByTestId('fix-in-stack-up').click();
  await expect(page).toHaveURL(/stack-up$/);

  // nothing there counts as good until it is mended
  await expect(page.getByTestId('lengths')).not.toContainText('✓');
  await expect(page.getByTestId('lengths')).toContainText(STACK.wouldFit);
  await page.getByTestId('thickness-1').fill('0.056');
  await expect(page.getByTestId('lengths')).toContainText(COMMON.good);
  await expect(stationLink('stack-up')).toContainText('✓');
  await expect(stationLink('prepare')).not.toContainText('△');

  // it is remembered over a reload, and for as long as it is so
  await page.reload();
  await expect(stationLink('stack-up')).toContainText('✓');
  await page.getByTestId('thickness-2').fill('0.050');
  await toStation(page, 2);
  await toStation(page, 1);
  await page.getByTestId('asked-widthIn').fill('7 5/16');
  await expect(stationLink('layout')).toContainText('○');
});

test('a layout that is not possible hides no stop behind it', async ({ page, app }) => {
  await makeJoint(page, app, 'Two things wrong', ['0.040', '0.040', '7 3/16']);
  await page.getByText(KIT.flush100, { exact: true }).click();
  await page.getByText('5', { exact: true }).click();
  // more an inch than the least pitch allows, however many rows
  await page.getByLabel(SIZE.rivetsPerInchFromApproved).fill('60');
  await page.getByLabel(SIZE.whoseFigureAndWhereIt).fill('made up');
  await toStation(page, 4);
  const bar = page.getByTestId('stop-bar');
  await expect(bar).toContainText('Not feasible');
  await expect(bar).toContainText('And 1 more');
  // the second is named beneath, in the words it has at its own station
  await expect(page.getByTestId('stops')).toContainText('Knife edge');
  await expect(page.getByTestId('fix-in-layout')).toHaveCount(1);
});
