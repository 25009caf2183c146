import { SIGN_IN } from '../../src/lib/words/pages/sign-in.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { JOBS } from '../../src/lib/words/pages/jobs.ts';
import { SIZE } from '../../src/lib/words/pages/size.ts';
import { BENCH } from '../../src/lib/words/pages/bench.ts';
import { CHECK } from '../../src/lib/words/pages/inspect.ts';
import { LAYOUT } from '../../src/lib/words/pages/layout.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import {
  expect,
  figure,
  makeJoint,
  openDemoLap,
  openOwn,
  saved,
  signIn,
  test,
  toStation
} from './app.ts';

test('a job is opened, and what is missing is asked for', async ({ page, app }) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: JOBS.newJob }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(JOBS.jobNumber).fill('0318');
  await dialog.getByLabel(JOBS.whatIsRepaired).fill('Step planking');
  await dialog.getByRole('button', { name: JOBS.openTheJob }).click();
  await expect(dialog.getByText('the aircraft and place is missing')).toBeVisible();
  await expect(dialog.getByLabel(JOBS.whatIsRepaired)).toHaveValue('Step planking');

  await dialog.getByLabel(JOBS.aircraftAndPlace).fill('Quillwater Twin, hull 06');
  await dialog.getByTestId('approved-data').fill('sheet QR-40');
  await dialog.getByRole('button', { name: JOBS.openTheJob }).click();
  await expect(dialog.getByText('job 0318 exists already')).toBeVisible();
  await dialog.getByLabel(JOBS.jobNumber).fill('0340');
  await dialog.getByRole('button', { name: JOBS.openTheJob }).click();
  await expect(page.getByRole('heading', { name: '0340 Step planking' })).toBeVisible();
  await expect(page.getByText(JOBS.noJointYetNameThe)).toBeVisible();
});

test('undo and redo step back through typing, and what they leave is saved', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Undone', ['0.040', '0.040', '']);
  await page.getByTestId('asked-widthIn').fill('8');
  await page.getByLabel(SIZE.jointLocationCountFactor).selectOption('single-lap');
  await expect(figure(page, 'Rivets needed')).toContainText('38'); // 6.2 × 8 × 0.75 = 37.2
  await page.keyboard.press('Control+z');
  await expect(figure(page, 'Rivets needed')).toContainText('50'); // 6.2 × 8 = 49.6
  await page.getByTestId('undo-edit').click();
  await expect(figure(page, 'Rivets needed')).toHaveText('–');
  await page.getByRole('button', { name: BENCH.redo }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByTestId('asked-widthIn')).toHaveValue('8');
  await expect(figure(page, 'Rivets needed')).toContainText('50');
});

test('keys go to the stations, switch the lengths and open the arithmetic', async ({
  page,
  app
}) => {
  await openDemoLap(page, app);
  await toStation(page, 2);
  await expect(figure(page, 'Edge distance')).toContainText('9/32');
  // 1/64 → decimal → thou → mm
  await page.keyboard.press('u');
  await expect(figure(page, 'Edge distance')).toContainText('0.2813');
  await page.keyboard.press('u');
  await expect(figure(page, 'Edge distance')).toContainText('281.3');
  await page.keyboard.press('u');
  await expect(figure(page, 'Edge distance')).toContainText('7.14');
  await page.keyboard.press('a');
  await expect(page.getByTestId('arithmetic').first()).toBeVisible();
  // in millimetres like everything else: 10.75 in and 9/32 in
  await expect(page.getByText('width − 2 × edge = 273.05 − 2 × 7.1438').first()).toBeVisible();
  await page.keyboard.press('a');
  await expect(page.getByTestId('arithmetic')).toHaveCount(0);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText(BENCH.holeBackHoleOn);
  await page.keyboard.press('Escape');
  await toStation(page, 4);
  await expect(page.getByTestId('left')).toContainText('steps');
  await toStation(page, 7);
  await expect(page.getByTestId('release-now')).toHaveAttribute('data-release', '1');
  await expect(page.getByTestId('must').first()).toContainText('✕');
});

test('digits typed into a field stay digits', async ({ page, app }) => {
  await makeJoint(page, app, 'Digits', ['0.040', '0.040', '']);
  await page.getByTestId('asked-widthIn').pressSequentially('12 5/16');
  await expect(page.getByTestId('asked-widthIn')).toHaveValue('12 5/16');
  await expect(page).toHaveURL(/size$/);
});

test('the tape marks each row on the ruler of choice', async ({ page, app }) => {
  await openOwn(page, app, BOTTOM_LAP, 'layout');
  await expect(page.locator('[data-mark]')).toHaveCount(25);
  await expect(page.locator('[data-mark="2"]')).toContainText('45/64');
  await page.getByLabel(LAYOUT.ruler, { exact: true }).selectOption('1mm');
  // 0.28125 + 0.42448 = 0.70573 in = 17.93 mm
  await expect(page.locator('[data-mark="2"]')).toContainText('18.0');
  await page.getByLabel(LAYOUT.rivetLine).selectOption('row-2');
  await expect(page.locator('[data-mark="26"]')).toContainText('7.0');
  await page.locator('[data-mark="30"]').click();
  await expect(page.getByTestId('picked-hole')).toContainText('Hole 30');
  await expect(page.getByTestId('picked-hole')).toContainText(LAYOUT.noRoomForALarger);
  await page.getByLabel(LAYOUT.ruler, { exact: true }).selectOption('1/64');
  await saved(page);
});

test('the drawing is to scale, zooms and fits again', async ({ page, app }) => {
  await openDemoLap(page, app);
  await toStation(page, 2);
  const view = page.getByTestId('plan-view');
  const scale = async () => Number(await view.getAttribute('data-px-per-in'));
  const centre = async (hole: number) => {
    const box = await view.locator(`[data-hole="${hole}"] .target`).boundingBox();
    return (box?.x ?? NaN) + (box?.width ?? NaN) / 2;
  };
  await expect(view).toBeVisible();
  // 24 pitches lie 10 3/16 in apart
  const fitted = await scale();
  expect(((await centre(25)) - (await centre(1))) / fitted).toBeCloseTo(10.1875, 2);
  await page.getByRole('button', { name: LAYOUT.zoomIn }).click();
  await expect.poll(scale).toBeCloseTo(fitted * 1.5, 3);
  await view.focus();
  await page.keyboard.press('0');
  await expect.poll(scale).toBeCloseTo(fitted, 6);
});

test('the section is to scale: grip, protrusion and head', async ({ page, app }) => {
  await openDemoLap(page, app);
  await toStation(page, 3);
  const section = page.getByTestId('section');
  const pxPerIn = Number(await section.getAttribute('data-px-per-in'));
  const box = async (selector: string) => {
    const found = await section.locator(selector).first().boundingBox();
    return { width: found?.width ?? NaN, height: found?.height ?? NaN };
  };
  // strokes add a pixel or two
  const near = (px: number, inches: number) =>
    expect(Math.abs(px - inches * pxPerIn)).toBeLessThan(4);
  near((await box('.rivet')).height, 0.28125);
  near((await box('.rivet')).width, 0.125);
  near((await box('.nominal')).width, 0.1875);
  near((await box('.nominal')).height, 0.0625);
  // it rests at the middle of the band, 0.51 to 0.65 D
  near((await box('.shop')).height, 0.0727);
});

test('what the eye saw outweighs a good measurement', async ({ page, app }) => {
  await openDemoLap(page, app);
  await page.locator('[data-testid="hole-map"] [data-hole="40"]').click();
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('3/16');
  await page.getByRole('textbox', { name: COMMON.height }).fill('1/16');
  // good as far as it was looked at
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'not-complete');
  await page.getByTestId('eye').click();
  await page.getByTestId('seen-ring-mark').click();
  await expect(page.getByTestId('verdict')).toHaveAttribute('data-verdict', 'refer');
  await expect(page.getByTestId('verdict')).toContainText(
    'rivet set mark on sheet: set too large or tilted'
  );
  // another hole and back: nothing typed is lost
  await page.getByRole('button', { name: CHECK.holeOn }).click();
  await expect(page.getByRole('textbox', { name: COMMON.diameter })).toHaveValue('');
  await page.getByRole('button', { name: CHECK.holeBack }).click();
  await expect(page.getByRole('textbox', { name: COMMON.diameter })).toHaveValue('3/16');
  await page.reload();
  await page.locator('[data-testid="hole-map"] [data-hole="40"]').click();
  await expect(page.getByRole('textbox', { name: COMMON.diameter })).toHaveValue('3/16');
});

test('a head looked at when the session is over waits for whoever signs in, under its own name', async ({
  page,
  app
}) => {
  await openDemoLap(page, app);
  const own = page.locator('[data-testid="hole-map"] [data-hole="24"]');
  await own.click();
  await page.context().clearCookies({ name: 'session' });
  await page.getByRole('textbox', { name: COMMON.diameter }).fill('0.187');
  await page.getByRole('textbox', { name: COMMON.height }).fill('0.062');
  await page.getByRole('textbox', { name: COMMON.height }).press('c');
  await expect(page.getByText(SIGN_IN.sayWhoFirst)).toBeVisible();
  await expect(own).not.toHaveAttribute('data-verdict', 'accept');
  await signIn(page, app, 'Tomas Ekbrand');
  await openDemoLap(page, app);
  await expect(own).toHaveAttribute('data-verdict', 'accept');
  await own.click();
  await expect(page.getByTestId('head-looks')).toContainText('Ilse Varnholt');
});

test('a layout changed after a release says so and is released again', async ({ page, app }) => {
  await makeJoint(page, app, 'Released twice', ['0.040', '0.040', '6']);
  await saved(page);
  await toStation(page, 6);
  await page.getByRole('button', { name: CHECK.releaseItAndStartChecking }).click();
  await expect(page.getByTestId('release-now')).toHaveAttribute('data-release', '1');
  await toStation(page, 1);
  await page.getByTestId('asked-widthIn').fill('7');
  await saved(page);
  await toStation(page, 6);
  await expect(page.getByTestId('changed-since-release')).toBeVisible();
  await page.getByRole('button', { name: CHECK.releaseItAgain }).click();
  await expect(page.getByTestId('release-now')).toHaveAttribute('data-release', '2');
  await expect(page.getByTestId('changed-since-release')).toHaveCount(0);
});

test('the night bench stays dark after a reload', async ({ page, app }) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: JOBS.night }).click();
  await expect(page.locator('html')).toHaveAttribute('data-mode', 'dark');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-mode', 'dark');
  await page.getByRole('button', { name: JOBS.day }).click();
  await expect(page.locator('html')).toHaveAttribute('data-mode', 'light');
});

test('an emptied name is asked for and does not hold up what else is typed', async ({
  page,
  app
}) => {
  await makeJoint(page, app, 'Named', ['0.040', '0.040', '5']);
  await saved(page);
  const name = page.getByLabel(BENCH.nameOfTheJoint);
  await name.fill('');
  await expect(name).toHaveAttribute('aria-invalid', 'true');
  const put = page.waitForResponse((answer) => answer.request().method() === 'PUT');
  await page.getByTestId('asked-widthIn').fill('5 3/4');
  expect((await put).ok()).toBe(true);
  await saved(page);
  await page.reload();
  await expect(name).toHaveValue('Named');
  await expect(page.getByTestId('asked-widthIn')).toHaveValue('5 3/4');
});

test('a recorded bad head still says why and what to do, with its arithmetic', async ({
  page,
  app
}) => {
  await openDemoLap(page, app);
  // demo data: hole 7 was measured 0.264 × 0.044, 2.11 D wide and 0.35 D high
  await page.locator('[data-testid="hole-map"] [data-hole="7"]').click();
  await expect(page.getByTestId('last-reading')).toContainText(
    '0.044 in high (0.35 D), minimum 0.0475 in (0.38 D)'
  );
  await expect(page.getByRole('heading', { name: CHECK.doNow })).toBeVisible();
  await expect(page.getByText('Replace.', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: COMMON.arithmetic, exact: true }).last().click();
  // beside that of the removal, which it now leads to
  await expect(page.getByTestId('arithmetic').filter({ hasText: '0.264 / 0.125' })).toBeVisible();
});

test('a mark opens to its arithmetic', async ({ page, app }) => {
  await openDemoLap(page, app);
  await toStation(page, 2);
  await page.locator('[data-testid="plan-view"] [data-hole="4"]').click();
  await page.getByRole('button', { name: LAYOUT.arithmeticOfTheMark }).click();
  await expect(page.getByTestId('arithmetic')).toContainText('0.28125 + 3 × 0.424479');
});
