import { SIGN_IN } from '../../src/lib/words/pages/sign-in.ts';
import { PEOPLE } from '../../src/lib/words/pages/people.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { expect, signIn, test } from './app.ts';

test.use({ person: null });

test('a lead enters a mechanic, who comes in by a code, a password and a PIN; and is out everywhere', async ({
  page,
  app,
  browser
}) => {
  await test.step('nobody gets past the door, and comes back to where they were going', async () => {
    await page.goto(`${app.url}/stock`);
    await expect(page).toHaveURL(/\/who\?back=%2Fstock$/);
    await page.getByRole('button', { name: 'Runa Halvik' }).click();
    await expect(page).toHaveURL(`${app.url}/stock`);
  });

  let code = '';
  await test.step('Runa enters Maro, and trusts the bench', async () => {
    await page.goto(`${app.url}/who`);
    await page.getByRole('link', { name: PEOPLE.peopleAndBenches }).click();
    await page.getByLabel(PEOPLE.name, { exact: true }).fill('Maro Lind');
    await page.getByLabel(PEOPLE.login).fill('maro');
    await page.getByRole('button', { name: PEOPLE.enterAndGiveACode }).click();
    code = (await page.getByTestId('code').textContent()) ?? '';
    expect(code).toMatch(/^([A-Z2-9]{4}-){2}[A-Z2-9]{4}$/);
    await expect(page.getByTestId('code-for Maro Lind')).toBeVisible();
    await expect(page.getByLabel(PEOPLE.login)).toHaveValue('');
    // the only lead stays one, and is shown as one
    const role = page.getByTestId('role-of Runa Halvik');
    await role.selectOption('mechanic');
    await expect(page.getByText(SIGN_IN.lastLead)).toBeVisible();
    await expect(role).toHaveValue('lead');
    // another of that login is refused, and what was typed stays
    await page.getByLabel(PEOPLE.name, { exact: true }).fill('Maro L.');
    await page.getByLabel(PEOPLE.login).fill('MARO');
    await page.getByRole('button', { name: PEOPLE.enterAndGiveACode }).click();
    await expect(page.getByText(SIGN_IN.nameTaken)).toBeVisible();
    await expect(page.getByLabel(PEOPLE.name, { exact: true })).toHaveValue('Maro L.');
    await page.getByLabel(PEOPLE.nameOfThisDevice).fill('bench by the slip');
    await page.getByRole('button', { name: PEOPLE.trustThisDevice }).click();
    await expect(page.getByText('bench by the slip, this one')).toBeVisible();
  });

  await test.step('Maro comes in by the code, and keeps a PIN', async () => {
    await page.goto(`${app.url}/who/code`);
    await page.getByLabel(PEOPLE.login).fill('maro');
    await page.getByLabel(PEOPLE.code).fill(code);
    await page.getByLabel(PEOPLE.password).fill('short');
    await page.getByRole('button', { name: PEOPLE.keepThePasswordAndCome }).click();
    await expect(page.getByText('Password: at least 12 characters')).toBeVisible();
    await page.getByLabel(PEOPLE.password).fill('wet rope, dry hands');
    await page.getByRole('button', { name: PEOPLE.keepThePasswordAndCome }).click();
    await expect(page).toHaveURL(`${app.url}/`);
    await page.goto(`${app.url}/account`);
    await page.getByLabel(PEOPLE.yourPassword).fill('wet rope, dry hands');
    await page.getByLabel(PEOPLE.pIN, { exact: true }).fill('271828');
    await page.getByRole('button', { name: COMMON.keepIt }).click();
    await expect(page.getByText(SIGN_IN.pinKept)).toBeVisible();
    // what a lead may, a mechanic may not
    const people = await page.request.get(`${app.url}/people`);
    expect(people.status()).toBe(403);
    expect(await people.text()).toContain('The mechanic role cannot');
  });

  await test.step('Ilse has the bench, and Maro takes it over by PIN', async () => {
    await signIn(page, app);
    await page.goto(`${app.url}/who`);
    await page.getByText('Maro Lind', { exact: true }).last().click();
    await page.getByRole('textbox', { name: PEOPLE.pIN }).fill('000000');
    await page.getByRole('button', { name: PEOPLE.comeIn }).first().click();
    await expect(page.getByText(SIGN_IN.notThatPin)).toBeVisible();
    await page.getByRole('textbox', { name: PEOPLE.pIN }).fill('271828');
    await page.getByRole('button', { name: PEOPLE.comeIn }).first().click();
    await expect(page.getByRole('navigation', { name: JOBS.main })).toContainText('Maro');
  });

  await test.step('elsewhere there is no PIN; and out everywhere is out here too', async () => {
    const other = await (await browser.newContext()).newPage();
    await other.goto(`${app.url}/who`);
    await expect(other.getByText(PEOPLE.byPIN)).toHaveCount(0);
    await other.getByLabel(PEOPLE.login).fill('maro');
    await other.getByRole('textbox', { name: PEOPLE.password }).fill('wet rope, dry hands');
    await other.getByRole('button', { name: PEOPLE.signIn }).click();
    await expect(other).toHaveURL(`${app.url}/`);
    await other.goto(`${app.url}/account`);
    await other.getByRole('button', { name: PEOPLE.signOutEverywhere }).click();
    await expect(other).toHaveURL(/\/who$/);
    await page.goto(`${app.url}/stock`);
    await expect(page).toHaveURL(/\/who/);
    await other.context().close();
  });
});
