import { expect, makeJoint, test, toStation } from './app.ts';

test('a stop travels: its station, all after it, the release; a tick means looked at as it is', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Nose skin, flush', ['0.040', '0.040', '7 3/16']);
  const line = page.getByRole('navigation', { name: 'Stations' });
  const stationLink = (key: string) => line.locator(`a[href$="/${key}"]`);

  // what was computed is not looked at yet
  await expect(stationLink('lay-out')).toContainText('○');
  await expect(stationLink('carry')).toContainText('✓');
  await toStation(page, 2);
  await expect(stationLink('lay-out')).toContainText('✓');

  // a dash 5 head is deeper than its sheet
  await toStation(page, 1);
  await page.getByText('Flush 100°', { exact: true }).click();
  await page.getByText('5', { exact: true }).click();
  await expect(stationLink('stack')).toContainText('✕');
  await expect(stationLink('stack')).toContainText('Knife edge');
  await expect(stationLink('make-ready')).toContainText('△');
  await expect(stationLink('make-ready')).toContainText('waits for Stack');
  // the holes moved: what was seen there is no longer so
  await expect(stationLink('lay-out')).toContainText('○');
  await expect(page.getByTestId('stop-bar')).toHaveCount(0);

  await toStation(page, 4);
  const bar = page.getByTestId('stop-bar');
  await expect(bar).toContainText('Knife edge');
  await expect(page.locator('[data-step]')).toHaveCount(0);
  await toStation(page, 6);
  await expect(page.getByRole('button', { name: /start checking/ })).toBeDisabled();
  await expect(page.getByText('Not while the joint is stopped at Stack')).toBeVisible();
  await bar.getByRole('link', { name: 'Fix in Stack' }).click();
  await expect(page).toHaveURL(/stack$/);

  // nothing there counts as good until it is mended
  await expect(page.getByTestId('lengths')).not.toContainText('✓');
  await expect(page.getByTestId('lengths')).toContainText('○ would fit');
  await page.getByLabel('Thickness of sheet 1').fill('0.056');
  await expect(page.getByTestId('lengths')).toContainText('✓ good');
  await expect(stationLink('stack')).toContainText('✓');
  await expect(stationLink('make-ready')).not.toContainText('△');

  // it is remembered over a reload, and for as long as it is so
  await page.reload();
  await expect(stationLink('stack')).toContainText('✓');
  await page.getByLabel('Thickness of sheet 2').fill('0.050');
  await toStation(page, 2);
  await toStation(page, 1);
  await page.getByLabel('Joint width').fill('7 5/16');
  await expect(stationLink('lay-out')).toContainText('○');
});

test('a layout that is not possible hides no stop behind it', async ({ page, app }) => {
  await makeJoint(page, app, 'Two things wrong', ['0.040', '0.040', '7 3/16']);
  await page.getByText('Flush 100°', { exact: true }).click();
  await page.getByText('5', { exact: true }).click();
  // more an inch than the least pitch allows, however many rows
  await page.getByLabel('Rivets per inch').fill('60');
  await page.getByLabel('Whose figure').fill('made up');
  await toStation(page, 4);
  const bar = page.getByTestId('stop-bar');
  await expect(bar).toContainText('Not possible');
  await expect(bar).toContainText('And 1 more');
  // the second is named beneath, in the words it has at its own station
  await expect(page.getByTestId('stops')).toContainText('Knife edge');
  await expect(page.getByRole('link', { name: 'Fix in Lay out' })).toHaveCount(1);
});
