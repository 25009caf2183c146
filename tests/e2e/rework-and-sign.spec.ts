import { mayNotInWords } from '../../src/lib/words/roles.ts';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { firstPress, expect, goTo, makeJoint, saved, signIn, test, toStation } from './app.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { SIZE } from '../../src/lib/words/pages/size.ts';
import { DRIVE } from '../../src/lib/words/pages/drive.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import type { Page } from '@playwright/test';

const hole = (page: Page, number: number) =>
  page.locator(`[data-testid="hole-map"] [data-hole="${number}"]`);

async function measure(page: Page, diameter: string, height: string): Promise<void> {
  await page.getByRole('textbox', { name: COMMON.diameter }).fill(diameter);
  await page.getByRole('textbox', { name: COMMON.diameter }).press('Enter');
  await page.getByRole('textbox', { name: COMMON.height }).fill(height);
  await page.getByRole('textbox', { name: COMMON.height }).press('c');
}

test('from bare sheets to a signed record, with one rivet replaced and one question answered', async ({
  page,
  app
}) => {
  test.setTimeout(180_000);
  await signIn(page, app, 'Benn Achterby');

  await test.step('Benn lays out a lap of 0.045 and 0.040, 6 in wide, at 2 an inch by its own data', async () => {
    await makeJoint(page, app, 'Bilge strake lap', ['0.045', '0.040', '6']);
    await page.getByLabel(SIZE.rivetsPerInchFromApproved).fill('2');
    await page.getByLabel(SIZE.whoseFigureAndWhereIt).fill('sheet QR-31, note 2');
    await toStation(page, 2);
    await page.getByTestId('asked-edgeIn').fill('0.4');
    await saved(page);
  });

  const rivets = 12;
  await test.step('may not release it, being a trainee; Ilse does', async () => {
    await toStation(page, 5);
    await page.getByRole('button', { name: DRIVE.releaseItAndStartDriving }).click();
    await expect(page.getByText(mayNotInWords('trainee', 'release'))).toBeVisible();
    await signIn(page, app);
    await goTo(page, app, 'drive');
    await page.getByRole('button', { name: DRIVE.releaseItAndStartDriving }).click();
    await expect(page.getByTestId('next-rivet')).toBeVisible();
  });

  await test.step('and drives it', async () => {
    await signIn(page, app, 'Benn Achterby');
    await goTo(page, app, 'drive');
    await expect(page.getByTestId('next-rivet')).toBeVisible();
    for (let at = 1; at <= rivets; at++) {
      const press = () => page.keyboard.press('Space');
      await (at === 1 ? firstPress(page, press) : press());
      await expect(page.getByTestId('tap-card')).toContainText(`${at} of ${rivets} driven`);
    }
  });

  await test.step('Ilse looks at the heads: one is driven too far', async () => {
    await signIn(page, app);
    await goTo(page, app, 'inspect');
    await expect(page.getByTestId('due')).toContainText(`0 of ${rivets} inspected, ${rivets} due`);
  });

  const bad = Number(/Hole (\d+)/.exec((await page.getByTestId('due').textContent()) ?? '')?.[1]);
  await measure(page, '0.25', '0.041');
  await expect(hole(page, bad)).toHaveAttribute('data-verdict', 'replace');

  await test.step('it is taken out; its hole has grown a little, and keeps its size', async () => {
    await hole(page, bad).click();
    // dash 4 in its own hole: #31 under the shank; never over #30
    await expect(page.getByTestId('take-out')).toContainText('Drill #31 (0.12');
    await expect(page.getByTestId('take-out')).toContainText('Never a drill over #30');
    await page.getByTestId('is-out').click();
    await expect(hole(page, bad)).toHaveAttribute('data-verdict', 'out');
    await page.getByLabel(CHECK.widest).fill('0.137');
    await expect(page.getByTestId('decision')).toHaveAttribute('data-decision', 'next-size');
    await expect(page.getByTestId('decision')).toContainText('MS20470AD5-5,');
    // read across the burr: wider than the next size's drill
    await page.getByLabel(CHECK.widest).fill('0.164');
    await page.getByRole('button', { name: CHECK.logItAndRefer }).click();
    await expect(page.getByTestId('hole-readings').getByRole('listitem')).toHaveCount(1);
    // a second, narrower reading changes nothing
    await page.getByLabel(CHECK.widest).fill('0.131');
    await expect(page.getByTestId('decision')).toHaveAttribute('data-decision', 'refer');
    await page.getByRole('button', { name: CHECK.logItAndRefer }).click();
    await expect(page.getByTestId('hole-readings').getByRole('listitem')).toHaveCount(2);
    await goTo(page, app, 'drive');
    await expect(page.getByTestId('held-back')).toContainText(`Hole ${bad}`);
    await expect(page.getByTestId('tap-card')).toContainText(
      `${rivets - 1} of ${rivets} driven, 1 empty`
    );
    await goTo(page, app, 'inspect');
    await hole(page, bad).click();
    const wide = page.getByTestId('hole-readings').getByRole('listitem').first();
    await wide.getByRole('button', { name: CHECK.void }).click();
    await wide.getByLabel(CHECK.whyItIsFalse).fill('read across the burr');
    await wide.getByRole('button', { name: CHECK.voidThisReading }).click();
    const ready = page.getByTestId('ready-hole');
    await expect(ready).toContainText('MS20470AD4');
    // nothing is done there until it is ticked
    for (const step of ['Deburr both sides', 'Clean out chips']) {
      await expect(ready.getByRole('button', { name: step })).toHaveAttribute(
        'aria-pressed',
        'false'
      );
      await ready.getByRole('button', { name: step }).click();
    }
    await expect(ready.getByRole('button', { pressed: true })).toHaveCount(2);
  });

  await test.step('nothing can be signed meanwhile, and each line leads to its place', async () => {
    await toStation(page, 7);
    await expect(page.locator('[data-testid="must"][data-code="not-driven"]')).toContainText(
      String(bad)
    );
    await page.locator('[data-testid="must"][data-code="not-driven"]').getByRole('link').click();
    await expect(page).toHaveURL(/drive$/);
  });

  await test.step('Benn drives it again', async () => {
    await signIn(page, app, 'Benn Achterby');
    await goTo(page, app, 'drive');
    await page.keyboard.press('Space');
    await expect(page.getByRole('navigation', { name: BENCH.stations })).toContainText(
      `${rivets} of ${rivets} driven`
    );
  });

  await test.step('Ilse looks at every head, the new one first', async () => {
    await signIn(page, app);
    await goTo(page, app, 'inspect');
    await expect(page.getByTestId('due')).toContainText(`Hole ${bad}: new rivet`);
    for (let at = 0; at < rivets; at++) {
      await measure(page, `0.19${at % 5}`, '0.062');
      await expect(page.locator('[data-testid="hole-map"] [data-verdict="accept"]')).toHaveCount(
        at + 1
      );
    }
    await expect(page.getByTestId('due')).toContainText('No inspections due.');
  });

  await test.step('she sees a rivet set mark on sheet after all, and puts the question', async () => {
    await hole(page, 1).click();
    await page.getByText(CHECK.byEye, { exact: true }).click();
    await page.getByTestId('seen-ring-mark').click();
    await page.getByTestId('record').click();
    await expect(hole(page, 1)).toHaveAttribute('data-verdict', 'refer');
    await hole(page, 1).click();
    // it begins with what was measured; figures alone ask nothing
    const question = page.getByLabel(CHECK.theQuestionWithWhatWas);
    await expect(question).toHaveValue(/^Head 1: .+ wide, .+ high/);
    await expect(page.getByRole('button', { name: CHECK.putTheQuestion })).toBeDisabled();
    await question.fill('');
    await expect(question).toHaveValue('');
    await question.fill('Ring mark, not felt with a nail. Dress?');
    await page.getByRole('button', { name: CHECK.putTheQuestion }).click();
    await expect(page.getByTestId('referral')).toContainText(CHECK.referredOpenNothingIsSigned);
    await page.getByLabel(CHECK.whatWasAnswered).fill('Polish along the grain; it stays.');
    await page.getByLabel(CHECK.byWhom).fill('engineer on call');
    await page.getByLabel(CHECK.onWhatAuthority).fill('shop repair sheet QR-31, note 3');
    await page.getByLabel(CHECK.whatBecomesOfIt).selectOption('leave');
    await page.getByRole('button', { name: CHECK.logTheAnswer }).click();
    await expect(hole(page, 1)).toHaveAttribute('data-verdict', 'left');
  });

  await test.step('Benn, who drove it, may not sign', async () => {
    await signIn(page, app, 'Benn Achterby');
    await goTo(page, app, 'sign');
    await expect(
      page.getByText('Benn Achterby drove rivets in this release. Someone else must sign.')
    ).toBeVisible();
    await expect(page.getByTestId('sign')).toBeDisabled();
  });

  await test.step('Tomas reads what he has to know, ticks it, and signs', async () => {
    await signIn(page, app, 'Tomas Ekbrand');
    await goTo(page, app, 'sign');
    await expect(page.getByTestId('must')).toHaveCount(0);
    await page.getByTestId('entitled').fill('inspector, stamp 7');
    await expect(page.getByTestId('sign')).toBeDisabled();
    for (const told of await page.getByTestId('told').all()) await told.click();
    await page.getByTestId('sign').click();
    await expect(page.getByTestId('signed')).toContainText('Signed by Tomas Ekbrand');
    await expect(page.getByRole('navigation', { name: BENCH.stations })).toContainText(
      'signed by Tomas Ekbrand'
    );
  });

  const get = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name, exact: true }).click()
    ]);
    return download.path();
  };
  await test.step('the record is read by others, and held against its seal', async () => {
    const json = await get('Sealed record (JSON)');
    const digest =
      /[0-9a-f]{64}/.exec((await page.getByTestId('signed').textContent()) ?? '')?.[0] ?? '';
    const text = execFileSync('pdftotext', ['-layout', await get('Record as PDF'), '-'], {
      encoding: 'utf8'
    });
    expect(text).toContain(digest);
    expect(text).toContain('SIGNED by Tomas Ekbrand (inspector, stamp 7)');
    expect(text).toMatch(/rivet \d+ removed \(a size under the shank; as usual\)/);
    expect(text).toContain('answered by engineer on call on shop repair sheet QR-31, note 3');
    const said = execFileSync('node', ['.build/scripts/verify.js', json, digest], {
      encoding: 'utf8'
    });
    expect(said).toContain('matches its seal');
    const csv = readFileSync(await get('Heads as CSV'), 'utf8');
    // every head once, the bad one and the ring mark beside them
    expect(csv.trim().split('\r\n')).toHaveLength(rivets + 3);
  });

  await test.step('and nothing is added to it', async () => {
    await toStation(page, 6);
    await hole(page, 2).click();
    await page.getByText(CHECK.figures, { exact: true }).click();
    await measure(page, '0.188', '0.062');
    await expect(page.getByText(/was signed/).first()).toBeVisible();
  });
});
