import { Op } from 'sequelize';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { must } from '../../scripts/must.ts';
import { inDatabase } from '../../scripts/fresh-shop.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { SIGN } from '../../src/lib/words/pages/sign.ts';
import { expect, firstPress, openDemo, test } from './app.ts';

test('joints are found by name, part and chip, and opened again from here', async ({
  page,
  app
}) => {
  await openDemo(page, app, /Bottom skin lap, bay 9/, 'layout');
  await expect(page.getByTestId('plan-view')).toBeVisible();
  await page.goto(app.url);
  await expect(page.getByTestId('recent').getByRole('link').first()).toHaveText(
    'Bottom skin lap, bay 9'
  );
  const list = page.getByRole('region', { name: JOBS.allJobs });
  await page.keyboard.press('/');
  await page.keyboard.type('closing');
  await expect(list.getByRole('link', { name: /Tip float, closing strip/ })).toBeVisible();
  await expect(list.locator('a.joint')).toHaveCount(1);
  // other tests have joints of their own here: what is asked is about those of the demo data
  await page.getByRole('button', { name: new RegExp(`^${JOBS.chips.bad}`) }).click();
  await expect(list.locator('a.joint')).toHaveCount(1);
  await page.getByRole('searchbox').fill('bay 9');
  await expect(list.getByRole('link', { name: /Bottom skin lap, bay 9/ }).first()).toBeVisible();
  for (const row of await list.locator('a.joint').allTextContents())
    expect(row).toMatch(/drive further|to replace|to refer|empty hole/);
  await page.getByRole('searchbox').fill('closing');
  await page.getByRole('button', { name: new RegExp(`^${JOBS.chips.signed}`) }).click();
  await expect(list.locator('a.joint')).toHaveCount(0);
  await expect(list).toContainText('No joint matches');
});

test('what is wrong needs somebody; what is only not filled in does not', async ({ page, app }) => {
  await page.goto(app.url);
  const needs = page.getByRole('region', { name: JOBS.needsAttention });
  await expect(needs.getByRole('link', { name: /Bottom skin lap, bay 9/ })).toContainText(
    '2 to replace'
  );
  await expect(needs.getByRole('link', { name: /Cowl panel/ })).toContainText('0.320 in');
  // which jobs stand open at first depends on how many joints other tests have made: what is searched for is in sight
  await page.getByRole('searchbox').fill('bay 9');
  const fold = page.getByTestId('fold-0318');
  await expect(fold).toHaveAttribute('aria-expanded', 'true');
  await fold.click();
  await expect(
    page.locator('article').getByRole('link', { name: /Bottom skin lap, bay 9/ })
  ).toHaveCount(0);
});

test('sixty joints of twelve jobs come in one light page, and a closed job in the archive', async ({
  page,
  app
}) => {
  test.setTimeout(120_000);
  await inDatabase(app.databaseUrl, async (database) => {
    for (let at = 0; at < 12; at++) {
      const job = must(
        await addJob(database, {
          number: `7${String(at).padStart(2, '0')}`,
          title: `Float frames, side ${at}`,
          place: 'Quillwater Twin, hull 04',
          data: 'shop repair sheet QR-35'
        })
      );
      for (let joint = 0; joint < 5; joint++)
        must(await addJoint(database, job, `Frame ${at}, strip ${joint}`, BOTTOM_LAP));
    }
  });
  // other tests have their joints in the demo’s jobs: these twelve alone are weighed
  const others = (closed: boolean) =>
    inDatabase(app.databaseUrl, ({ models }) =>
      models.Job.update(
        { closedAt: closed ? new Date() : null },
        { where: { number: { [Op.notLike]: '7__' } } }
      )
    );
  await others(true);
  const html = await (await page.request.get(app.url)).text();
  await others(false);
  expect(html.match(/Frame \d+, strip \d/g)?.length).toBeGreaterThan(60);
  expect(Buffer.byteLength(html)).toBeLessThanOrEqual(40 * 1024);
  await page.goto(app.url);
  // every job is there at a glance, the first ones open
  for (let at = 0; at < 12; at++)
    await expect(page.getByTestId(`fold-7${String(at).padStart(2, '0')}`)).toBeVisible();
  await page.getByRole('searchbox').fill('side 11');
  await page.getByRole('link', { name: JOBS.openJob }).click();
  await page.getByRole('button', { name: JOBS.closeJob }).click();
  await expect(page).toHaveURL(`${app.url}/`);
  await expect(page.getByTestId('fold-711')).toHaveCount(0);
  await page.getByRole('link', { name: /^Archive/ }).click();
  await expect(page.getByTestId('fold-711')).toBeVisible();
  await page.getByRole('link', { name: JOBS.openJob }).click();
  await page.getByRole('button', { name: JOBS.reopenJob }).click();
  await page.goto(app.url);
  await expect(page.getByTestId('fold-711')).toBeVisible();
});

test('a practice joint goes from bare sheets to a practice record, and a job gets its plan alone', async ({
  page,
  app
}) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: JOBS.practiceJoint }).click();
  await page.waitForURL(/\/size$/);
  await expect(page.getByText(JOBS.forPractice)).toBeVisible();
  await expect(page.getByRole('textbox', { name: BENCH.nameOfTheJoint })).toHaveValue(
    /^Practice, Ilse/
  );
  // a new joint waits for its first figure
  await expect(page.getByTestId('thickness-1')).toBeFocused();
  await page.keyboard.type('.04');
  await page.getByTestId('thickness-2').fill('.04');
  await page.getByRole('textbox', { name: /Joint width/ }).fill('4');
  await expect(page.getByText('Saved')).toBeVisible();
  await page.goto(page.url().replace(/size$/, 'drive'));
  await page.getByTestId('release').click();
  await firstPress(page, () => page.getByTestId('driven').click());
  await expect(page.getByTestId('tap-card')).toContainText(/1 of \d+ driven/);
  await page.goto(page.url().replace(/drive$/, 'sign'));
  await expect(page.getByTestId('practice-not-signed')).toHaveText(SIGN.practiceNotSigned);
  await expect(page.getByTestId('sign')).toHaveCount(0);
  const record = await page.request.get(
    `${app.url}/api${new URL(page.url()).pathname.replace(/sign$/, 'files/record.json')}`
  );
  expect(await record.text()).toContain('"practice": true');
  await page.getByRole('link', { name: 'Job practice' }).click();
  await page.locator('select[name=job]').selectOption({ index: 0 });
  await page.getByLabel(JOBS.newName).fill('Float strap, from practice');
  await page.getByRole('button', { name: JOBS.copyPlan }).click();
  await page.waitForURL(/\/size$/);
  await expect(page.getByTestId('stage-drive')).toContainText('not released yet');
  await expect(page.getByTestId('thickness-1')).toHaveValue('.04');
  await expect(page.getByText(JOBS.forPractice)).toHaveCount(0);
});
