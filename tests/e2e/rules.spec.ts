import { SIZE } from '../../src/lib/words/pages/size.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { RULES } from '../../src/lib/words/pages/rules.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { expect, figure, makeJoint, signIn, test } from './app.ts';

test('a changed school becomes a version; a joint says what would differ and moves when told', async ({
  page,
  app
}) => {
  await signIn(page, app, 'Runa Halvik');
  await makeJoint(page, app, 'Two thicknesses', ['0.063', '0.040', '10 3/4']);
  await page.getByLabel(SIZE.jointLocationCountFactor).selectOption('intermediate-frame');
  await expect(figure(page, 'Rivet')).toContainText('dash 6');

  await page.getByRole('link', { name: COMMON.rules }).click();
  await expect(page.getByText('Change something and it can be saved as version 2')).toBeVisible();
  await page.getByText('the thinnest', { exact: true }).click();
  await page.getByLabel('Largest pitch, D').fill('2');
  await expect(page.getByText('the least pitch, 3 D, is above the largest').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save as version 2' })).toBeDisabled();
  await page.getByLabel('Largest pitch, D').fill('12');
  await expect(
    page.getByText('Rivet diameter = 3 × which sheet? the thickest → the thinnest')
  ).toBeVisible();
  await expect(page.getByText(RULES.sayWhatChangedAndWhy)).toBeVisible();
  await page.getByLabel(RULES.whatChangedAndWhy).fill('light repairs on the floats');
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText('version 2 is what new joints begin under')).toBeVisible();

  await page.goto(app.url);
  await page
    .getByRole('link', { name: /Two thicknesses/ })
    .first()
    .click();
  await page.getByRole('button', { name: /Rules .* 1$/ }).click();
  const other = page.getByTestId('other-rules');
  await expect(other).toContainText('light repairs on the floats');
  await expect(other.getByRole('row', { name: /rivet size/ })).toContainText('dash 4');
  await other.getByRole('button', { name: BENCH.planItUnderTheseRules }).click();
  await expect(page.getByRole('button', { name: /Rules .* 2$/ })).toBeVisible();
  await page.getByTestId('stage-carry').click();
  await expect(figure(page, 'Rivet')).toContainText('dash 4');
});
