import { addressOf, demoJoint, expect, test } from './app.ts';

test.use({ serviceWorkers: 'allow' });

test('an address that was printed or kept before leads to the stage it meant', async ({
  page,
  app
}) => {
  const inspect = addressOf(app, await demoJoint(app, /Bottom skin lap, bay 9/), 'inspect');
  await page.goto(inspect.replace(/inspect$/, 'check'));
  await expect(page).toHaveURL(/\/inspect$/);
  await expect(page.getByTestId('hole-map')).toBeVisible();
  // once this browser keeps pages, without the server too
  await expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null))
    .toBe(true);
  await page.reload();
  await page.goto(inspect);
  await page.context().setOffline(true);
  await page.goto(inspect.replace(/inspect$/, 'check'));
  await expect(page).toHaveURL(/\/inspect$/);
  await expect(page.getByTestId('hole-map')).toBeVisible();
});
