import { SIZE } from '../../src/lib/words/pages/size.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { RULES } from '../../src/lib/words/pages/rules.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { inDatabase } from '../../scripts/fresh-shop.ts';
import { must } from '../../scripts/must.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { getJoint, setJointProfile } from '../../src/lib/server/services/joints.ts';
import { addProfile, currentProfile } from '../../src/lib/server/services/profiles.ts';
import { expect, figure, goTo, jointOf, makeJoint, openOwn, signIn, test } from './app.ts';

test('a changed school becomes a version; a joint says what would differ and moves when told', async ({
  page,
  app
}) => {
  await signIn(page, app, 'Runa Halvik');
  await makeJoint(page, app, 'Two thicknesses', ['0.063', '0.040', '10 3/4']);
  await page.getByLabel(SIZE.jointLocationCountFactor).selectOption('intermediate-frame');
  await expect(figure(page, 'Rivet')).toContainText('dash 6');

  await page.getByRole('link', { name: COMMON.rules }).click();
  // another test of this worker may have saved a version before
  const next = Number(await page.getByTestId('unchanged').getAttribute('data-next'));
  await page.getByText('the thinnest', { exact: true }).click();
  await page.getByLabel('Maximum pitch, D').fill('2');
  await expect(
    page.getByText('the minimum pitch, 3 D, is above the maximum').first()
  ).toBeVisible();
  await expect(page.getByTestId('save-version')).toBeDisabled();
  await page.getByLabel('Maximum pitch, D').fill('12');
  await expect(
    page.getByText('Rivet diameter = 3 × which sheet? the thickest → the thinnest')
  ).toBeVisible();
  await expect(page.getByText(RULES.sayWhatChangedAndWhy)).toBeVisible();
  await page.getByLabel(RULES.whatChangedAndWhy).fill('light repairs on the floats');
  await page.getByTestId('save-version').click();
  await expect(page.getByTestId('saved')).toContainText(`version ${next}`);

  await page.goto(app.url);
  await page
    .getByRole('link', { name: /Two thicknesses/ })
    .first()
    .click();
  await page.getByRole('button', { name: new RegExp(`Rules .* ${next - 1}$`) }).click();
  const other = page.getByTestId('other-rules').filter({ hasText: `version ${next}` });
  await expect(other).toContainText('light repairs on the floats');
  await expect(other.getByRole('row', { name: /rivet size/ })).toContainText('dash 4');
  await other.getByRole('button', { name: BENCH.planItUnderTheseRules }).click();
  await expect(page.getByRole('button', { name: new RegExp(`Rules .* ${next}$`) })).toBeVisible();
  await page.getByTestId('stage-size').click();
  await expect(figure(page, 'Rivet')).toContainText('dash 4');
});

test('rules looser than the shop’s are a lead’s to release, and whoever signs is told each', async ({
  page,
  app
}) => {
  await openOwn(page, app, BOTTOM_LAP, 'inspect');
  const joint = jointOf(page);
  await inDatabase(app.databaseUrl, async (database) => {
    const shop = await currentProfile(database);
    if (!shop) throw new Error('the shop has no rules');
    const loose = {
      ...shop.rules,
      name: 'Night shift',
      version: 1,
      sampling: 'first-then-every' as const
    };
    const id = await addProfile(database, loose);
    // the shop's own are those made last
    await addProfile(database, { ...shop.rules, version: shop.rules.version + 1 });
    const benn = await database.models.Person.findOne({
      where: { name: 'Benn Achterby' },
      rejectOnEmpty: true
    });
    const found = must(await getJoint(database, joint));
    must(
      await setJointProfile(
        database,
        joint,
        { profileId: id, baseRevision: found.revision },
        benn.id
      )
    );
  });
  await page.reload();
  const bound = page.getByTestId('bound-rules');
  await expect(bound).toContainText(CHECK.aLeadReleasesThis);
  await expect(bound).toContainText('set by Benn Achterby');
  await expect(page.getByTestId('release')).toBeDisabled();
  await signIn(page, app, 'Runa Halvik');
  await goTo(page, app, 'inspect');
  await expect(bound).toContainText(CHECK.notByTheShopsRules);
  await page.getByTestId('release').click();
  await expect(page.getByTestId('release-now')).toBeVisible();
  await goTo(page, app, 'sign');
  await expect(page.getByTestId('told').filter({ hasText: 'Benn Achterby' })).toHaveCount(1);
});
