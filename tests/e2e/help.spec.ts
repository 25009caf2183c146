import { expect, test } from './app.ts';
import { wrongOn } from './readable.ts';
import { HELP } from '../../src/lib/words/pages/help.ts';

test('the glossary answers to whoever comes, finds a term as one types, and is readable', async ({
  page,
  app
}) => {
  await page.goto(`${app.url}/help/glossary`);
  await page.locator('html[data-awake]').waitFor({ state: 'attached' });
  await expect(page.getByRole('heading', { name: HELP.glossary })).toBeVisible();
  await page.getByLabel(HELP.findTerm).fill('crescent');
  await expect(page.getByRole('term')).toHaveText(['open smile']);
  await page.getByLabel(HELP.findTerm).fill('no such thing');
  await expect(page.getByText(HELP.noMatch)).toBeVisible();
  await page.getByLabel(HELP.findTerm).fill('');
  await expect(page.getByRole('term').first()).toHaveText('access');
  expect(await wrongOn(page, HELP.glossary)).toEqual([]);
});
