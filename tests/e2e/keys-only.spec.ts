import type { Page } from '@playwright/test';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { expect, saved, test } from './app.ts';

/** What a screen reader says of where the focus is: its name, then what it is. */
const said = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const here = document.activeElement;
    if (!here || here === document.body) return '';
    const textOf = (ids: string | null) =>
      (ids ?? '')
        .split(' ')
        .map((id) => document.getElementById(id)?.textContent ?? '')
        .join(' ');
    const labels = 'labels' in here ? [...((here.labels as NodeList | null) ?? [])] : [];
    const name =
      here.getAttribute('aria-label') ??
      (textOf(here.getAttribute('aria-labelledby')).trim() ||
        labels.map((label) => label.textContent).join(' ') ||
        here.textContent);
    return name.replace(/\s+/g, ' ').trim();
  });

/** Goes on with Tab until what is named so has the focus; a hand without a mouse has no other way. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  const passed: string[] = [];
  for (let press = 0; press < 160; press++) {
    await page.keyboard.press('Tab');
    const here = await said(page);
    if (name.test(here)) return;
    passed.push(here);
  }
  throw new Error(`no ${String(name)} among ${[...new Set(passed)].join(' · ')}`);
}
const press = async (page: Page, name: RegExp, key = 'Enter') => {
  await tabTo(page, name);
  await page.keyboard.press(key);
};
const type = async (page: Page, name: RegExp, text: string) => {
  await tabTo(page, name);
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
};
const station = async (page: Page, number: number, heading: string) => {
  await page.keyboard.press('Escape');
  await page.keyboard.press(`Alt+${number}`);
  await expect(page).toHaveURL(new RegExp(`/${heading}$`));
};
/** Another hand takes the bench over, and comes back to where it was. */
const handOver = async (page: Page, name: RegExp) => {
  const back = page.url();
  await page.goto(`${new URL(back).origin}/who`);
  await press(page, name);
  await expect(page).toHaveURL(/\/$/);
  await page.goto(back);
};

test('a joint from bare sheets to a signature without a mouse', async ({ page, app }) => {
  test.setTimeout(240_000);
  await page.goto(app.url);
  await press(page, /^Open job 0318/);
  await expect(page).toHaveURL(/\/jobs\//);
  await type(page, /^New lap joint/, 'Fairing lap, by keys');
  await press(page, /^Start joint/);
  await expect(page).toHaveURL(/\/size$/);
  await type(page, /^Thickness of sheet 1/, '1.2mm');
  await type(page, /^Thickness of sheet 2/, '0.9mm');
  await type(page, /^Joint width/, '118mm');
  await saved(page);

  await test.step('Lay out: a hole is pinned, and moved by a step', async () => {
    await station(page, 2, 'layout');
    await page.keyboard.press(']');
    await page.keyboard.press(']');
    await press(page, /^Pin$/);
    await expect(page.getByRole('button', { name: LAYOUT.unpin })).toBeVisible();
    await saved(page);
  });

  await test.step('Stack: every panel opens', async () => {
    await station(page, 3, 'stack-up');
    await tabTo(page, /^Lengths$/);
    const first = await said(page);
    await page.keyboard.press('ArrowRight');
    await expect.poll(() => said(page)).not.toBe(first);
  });

  await test.step('Prepare: steps are ticked', async () => {
    await station(page, 4, 'prepare');
    await press(page, /^Complete: Clamp the parts/);
    await expect(page.getByTestId('left')).toContainText(/^1 of/);
  });

  let rivets = 0;
  await test.step('Drive: every rivet', async () => {
    await station(page, 5, 'drive');
    await press(page, /^Release it and start driving/);
    const card = page.getByTestId('tap-card');
    await expect(card).toBeVisible();
    rivets = Number(/0 of (\d+) driven/.exec((await card.textContent()) ?? '')?.[1]);
    expect(rivets).toBeGreaterThan(3);
    for (let at = 1; at <= rivets; at++) {
      if (at === 1)
        await expect(page.getByRole('navigation', { name: BENCH.stations })).toContainText(
          / steps/
        );
      await page.keyboard.press('Space');
      // the first asks about what is not met: each is answered by arrow keys
      if (at === 1) {
        const asked = await page.getByTestId('unmet-sheet').getByRole('radiogroup').count();
        for (let group = 0; group < asked; group++) {
          await tabTo(page, /^done, not recorded/);
          await page.keyboard.press('ArrowRight');
        }
        await press(page, /^Log answers/);
      }
      await expect(card).toContainText(`${at} of ${rivets} driven`);
    }
  });

  await test.step('Check: every head, by another', async () => {
    await handOver(page, /^Tomas Ekbrand/);
    await station(page, 6, 'inspect');
    await tabTo(page, /^Diameter(?!s)/);
    for (let at = 1; at <= rivets; at++) {
      await page.keyboard.type('0.230');
      await page.keyboard.press('Enter');
      await page.keyboard.type('0.080');
      await page.keyboard.press('c');
      await expect(page.locator('[data-testid="hole-map"] [data-verdict]')).toHaveCount(rivets);
    }
  });

  await test.step('Sign: what has to be known is read, and it is signed', async () => {
    await station(page, 7, 'sign');
    await expect(page.getByTestId('told').first()).toBeVisible();
    for (const told of await page.getByTestId('told').allTextContents())
      await press(page, new RegExp(`^${told.trim().slice(0, 24)}`), 'Space');
    await type(page, /^Certificate or stamp/, 'inspector, stamp 7');
    await press(page, /^Sign as Tomas Ekbrand/);
    await expect(page.getByTestId('signed')).toContainText('Signed by Tomas Ekbrand');
  });
});
