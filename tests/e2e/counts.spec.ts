import type { Page } from '@playwright/test';
import { expect, goTo, openDemo, test } from './app.ts';

/** Figures of a release as pages show them: `36 of 37 driven`, `9 of 37 inspected`, `12 due`, `2 rejected`, `1 empty`. */
const figures = (text: string): Record<string, string> =>
  Object.fromEntries(
    [...text.matchAll(/(\d+ of \d+) (driven|inspected)|(\d+) (due|rejected|empty)/g)].map(
      ([, of, what, count, which]) => [what ?? which ?? '', of ?? count ?? '']
    )
  );
const text = async (page: Page, testId: string) =>
  (await page.getByTestId(testId).first().textContent()) ?? '';
/** How many holes Sign holds something against, by what. */
const heldBy = async (page: Page, code: string): Promise<string | undefined> => {
  const line = page.locator(`[data-testid="must"][data-code="${code}"]`);
  if ((await line.count()) === 0) return undefined;
  return /(\d+) /.exec((await line.textContent()) ?? '')?.[1];
};

for (const title of [/Bottom skin lap, bay 9/, /Tip float, closing strip/])
  test(`${title.source}: every page says the same of it`, async ({ page, app }) => {
    await page.goto(app.url);
    await page.locator('html[data-awake]').waitFor({ state: 'attached' });
    // whatever else is in its job: what is searched for stands open
    await page.getByRole('searchbox').fill(title.source);
    const row = page.getByRole('link', { name: title }).filter({ hasText: 'inspected' });
    const onHome = figures((await row.first().textContent()) ?? '');
    await openDemo(page, app, title, 'drive');
    await goTo(page, app, 'drive');
    const line = figures(
      `${await text(page, 'stage-drive')}, ${await text(page, 'stage-inspect')}`
    );
    expect(line).toMatchObject({
      driven: expect.any(String),
      inspected: expect.any(String)
    });
    expect(figures(await text(page, 'tap-card')).driven).toBe(line['driven']);
    await goTo(page, app, 'inspect');
    expect(figures(await text(page, 'due'))).toMatchObject({
      inspected: line['inspected'],
      due: line['due']
    });
    const marks = (await page.getByTestId('legend').getByRole('listitem').allTextContents()).map(
      (one) => Number(/\d+/.exec(one)?.[0])
    );
    const holes = Number(line['inspected']?.split(' of ')[1]);
    expect(marks.reduce((sum, count) => sum + count, 0)).toBe(holes);
    await goTo(page, app, 'sign');
    await expect(page.getByTestId('told').first()).toBeVisible();
    expect(await heldBy(page, 'heads-due')).toBe(line['due']);
    expect(await heldBy(page, 'heads-bad')).toBe(line['rejected']);
    expect(await heldBy(page, 'holes-empty')).toBe(line['empty']);
    expect(onHome['inspected']).toBe(line['inspected']);
    expect(onHome['driven'] ?? line['driven']).toBe(line['driven']);
  });
