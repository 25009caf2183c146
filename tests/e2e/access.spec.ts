import type { Page } from '@playwright/test';
import type { StationKey } from '../../src/lib/stations/stations.ts';
import { demoJoint, expect, test, openDemo } from './app.ts';
import { COMMON } from '../../src/lib/words/pages/common.ts';
import { CAGES } from '../../src/lib/words/pages/cages.ts';
import { KIT } from '../../src/lib/words/pages/kit.ts';
import { wrongOn } from './readable.ts';

const JSON_TYPE = { 'content-type': 'application/json' };

test('changes are refused unless they come from the application’s own pages', async ({
  page,
  app
}) => {
  const { request } = page;
  await page.goto(app.url);
  const joint = await demoJoint(app, /Bottom skin lap/);
  const change = { baseRevision: 1, title: 'Taken over', definition: {} };
  for (const headers of [JSON_TYPE, { ...JSON_TYPE, origin: 'http://evil.example' }]) {
    const refused = await request.put(`${app.url}/api/joints/${joint}`, { headers, data: change });
    expect(refused.status()).toBe(403);
  }
  const own = await request.put(`${app.url}/api/joints/${joint}`, {
    headers: { ...JSON_TYPE, origin: app.url },
    data: change
  });
  // let through, and then refused for what is in it
  expect(own.status()).toBe(400);
  const form = await request.post(`${app.url}/who`, {
    headers: { origin: 'http://evil.example' },
    form: { person: 'x' }
  });
  expect(form.status()).toBe(403);
});

test('the calculations answer over HTTP with 200, 400 and 422', async ({ app, request }) => {
  const ask = (op: string, data: unknown) =>
    request.post(`${app.url}/api/calc/${op}`, { headers: JSON_TYPE, data: JSON.stringify(data) });
  const good = await ask('rivet-diameter', { sheetsIn: [0.04, '1mm'] });
  expect(good.status()).toBe(200);
  expect(await good.json()).toMatchObject({ ok: true, result: { dash: 4, diameterIn: 0.125 } });
  const bad = await ask('rivet-diameter', { sheetsIn: [] });
  expect(bad.status()).toBe(400);
  expect(await bad.json()).toMatchObject({
    ok: false,
    error: { code: 'invalid-input', path: 'sheetsIn' }
  });
  const no = await ask('row-layout', { widthIn: 0.5, dash: 4, head: 'universal', required: 2 });
  expect(no.status()).toBe(422);
  expect(await no.json()).toMatchObject({ ok: false, error: { code: 'not-possible' } });
});

test('a page that does not exist says so', async ({ page, app }) => {
  for (const path of [
    '/joints/no-such/size',
    '/jobs/00000000-0000-4000-8000-000000000000',
    '/nowhere'
  ]) {
    const response = await page.goto(app.url + path);
    expect(response?.status()).toBe(404);
    await expect(page.getByRole('link', { name: COMMON.toTheBench, exact: true })).toBeVisible();
  }
});

test('a link cannot send a person off to another site', async ({ page, app }) => {
  await page.goto(`${app.url}/who?back=//evil.example/x`);
  await page.getByRole('button', { name: 'Tomas Ekbrand' }).click();
  await page.waitForURL(`${app.url}/`);
});

/** What a page shows when it is worked with; colors that still fade from one to the other are neither. */
async function isReadable(page: Page, what: string): Promise<void> {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  expect(await wrongOn(page, what)).toEqual([]);
}

// one joint at each station is the matter of every-page.spec.ts; here are pages that other kinds have of their own
const PLACES: [string, RegExp, StationKey[]][] = [
  ['a patch', /Hull side, flush patch/, ['size', 'layout']],
  ['a flange', /Frame 11 flange/, ['layout', 'prepare']]
];
for (const [what, name, stations] of PLACES)
  test(`${what}: readable and operable`, async ({ page, app }) => {
    for (const station of stations) {
      await openDemo(page, app, name, station);
      await isReadable(page, station);
    }
  });

test('setting a cage is readable and operable', async ({ page, app }) => {
  await page.goto(`${app.url}/setups`);
  await page.getByRole('link', { name: COMMON.setIt }).first().click();
  await page.getByLabel(CAGES.theSheetToCut).fill('0.05');
  await page.getByLabel(CAGES.theHole).fill('0.1285');
  await page.getByLabel(CAGES.theCouponAsMeasured).fill('0.04');
  await page.getByLabel(CAGES.backingUnderIt).fill('1/8');
  await expect(page.getByTestId('setup-checks')).toBeVisible();
  await isReadable(page, 'before the first hole');
  await page.goto(`${app.url}/setups`);
  await page.getByRole('link', { name: /re-checked/ }).click();
  await expect(page.getByTestId('tape')).toBeVisible();
  await isReadable(page, 'a set cage');
  await page.goto(`${app.url}/setups`);
  await page.getByRole('link', { name: /Wing root, flush lap.*not set yet/ }).click();
  await page.getByTestId('gauge-closed').click();
  await page.getByRole('button', { name: KIT.arithmeticOfTheNextSetting }).click();
  await isReadable(page, 'trials');
});

test('every panel of Stack is readable and operable', async ({ page, app }) => {
  await openDemo(page, app, /Fin, leading strip/, 'stack-up');
  for (const panel of ['Driving', 'Layers', 'Flush rule', 'Substitutes']) {
    await page.getByText(panel, { exact: true }).click();
    expect(await wrongOn(page, panel, { within: '[role=tabpanel]' })).toEqual([]);
  }
});

test('dialogs, the reader and the other views of Lay out are readable and operable', async ({
  page,
  app
}) => {
  await openDemo(page, app, /Frame 11 flange/, 'layout');
  const clean = async (what: string, within: string | null = null) =>
    expect(await wrongOn(page, what, { within })).toEqual([]);
  for (const view of ['Rework margin', 'Alternatives', 'Layout steps']) {
    await page.getByRole('radiogroup').getByText(view, { exact: true }).click();
    await clean(view);
  }
  for (const button of ['Files', 'Pick up existing holes', /^Rules/]) {
    await page.getByRole('button', { name: button }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await clean(String(button), '[role=dialog]');
    await page.getByRole('button', { name: COMMON.close }).click();
  }
  await page.getByTestId('read-out').click();
  await clean('reader', '[data-testid=reader]');
});

/** How far the page, or its main part, is wider than what is seen of it, px. */
const sideways = (page: Page): Promise<number> =>
  page
    .getByRole('main')
    .evaluate((main) =>
      Math.max(
        main.scrollWidth - main.clientWidth,
        document.documentElement.scrollWidth - window.innerWidth
      )
    );

test('Setups and a cage’s trials fit a tablet and a phone', async ({ page, app }) => {
  for (const width of [390, 768]) {
    await page.setViewportSize({ width, height: 900 });
    await page.goto(`${app.url}/setups`);
    await expect(page.getByRole('region', { name: 'Cage 1, blue tape' })).toBeVisible();
    expect(await sideways(page), `Setups at ${width} px`).toBeLessThanOrEqual(0);
    await page.getByRole('link', { name: /re-checked/ }).click();
    await expect(page.getByTestId('tape')).toBeVisible();
    expect(await sideways(page), `trials at ${width} px`).toBeLessThanOrEqual(0);
  }
});

for (const width of [390, 768, 1280])
  test(`Check fits ${width} px without scrolling sideways`, async ({ page, app }) => {
    await page.setViewportSize({ width, height: 800 });
    await openDemo(page, app, /Bottom skin lap/, 'inspect');
    await expect(page.getByTestId('hole-map')).toBeVisible();
    expect(await sideways(page)).toBeLessThanOrEqual(0);
  });

test('what is broken is refused in words, never by a fault of the server', async ({
  page,
  app
}) => {
  const joint = await demoJoint(app, /Bottom skin lap/);
  const headers = { origin: app.url, 'content-type': 'application/json' };
  const job = (await (await page.request.get(`${app.url}/`)).text()).match(
    /\/jobs\/([\w-]{36})/
  )?.[1];
  const look = {
    id: '00000000-0000-4000-8000-00000000000f',
    at: '2026-05-02T08:00:00Z',
    kind: 'checked',
    hole: 1,
    diameterIn: 0.19,
    heightIn: 0.062,
    flags: [] as unknown[]
  };
  const tries: [string, string, Record<string, string>, string][] = [
    [
      'POST',
      `/api/events/hole/${joint}`,
      headers,
      JSON.stringify([{ ...look, flags: [{ toString: 1 }] }])
    ],
    [
      'POST',
      `/api/events/hole/${joint}`,
      headers,
      JSON.stringify([{ ...look, at: '0000-01-01T00:00:00Z' }])
    ],
    [
      'POST',
      `/api/events/hole/${joint}`,
      headers,
      JSON.stringify([{ ...look, at: '9999-12-31T23:59:59Z' }])
    ],
    ['POST', `/api/events/hole/${joint}`, headers, JSON.stringify([{ ...look, hole: 2 ** 40 }])],
    ['POST', `/api/events/hole/${joint}`, headers, `[${'['.repeat(5000)}${']'.repeat(5000)}]`],
    ['PUT', `/api/joints/${joint}`, headers, '{"baseRevision":1e400}'],
    [
      'POST',
      `/jobs/${job}?/fromFile`,
      { ...headers, 'content-type': 'multipart/form-data; boundary=zz' },
      '--zz\r\nContent-Disposition: form-data; name="file"; filename="x"\r\n\r\nabc'
    ],
    [
      'POST',
      `/jobs/${job}?/move`,
      { ...headers, 'content-type': 'multipart/form-data; boundary=zz' },
      '--zz'
    ],
    [
      'POST',
      '/who?/demo',
      { ...headers, 'content-type': 'application/x-www-form-urlencoded' },
      'person=%00'
    ],
    [
      'POST',
      '/who?/password',
      { ...headers, 'content-type': 'application/x-www-form-urlencoded' },
      'login=%00%ff&password=x'
    ]
  ];
  for (const [method, path, own, data] of tries) {
    const answer = await page.request.fetch(app.url + path, {
      method,
      headers: own,
      data,
      maxRedirects: 0
    });
    expect(answer.status(), `${path} ${data.slice(0, 80)}`).toBeLessThan(500);
    // a posted form’s refusal comes as the page, or as what the page makes of it
    const text = await answer.text();
    expect(text, path).not.toContain('Something went wrong');
  }
  const large = await page.request.post(`${app.url}/api/events/hole/${joint}`, {
    headers,
    data: 'x'.repeat(7_000_000)
  });
  expect(large.status()).toBe(413);
});

test('pages say what may run in them, and are nobody else’s to keep', async ({ page, app }) => {
  const answer = await page.request.get(`${app.url}/stock`);
  const policy = answer.headers()['content-security-policy'] ?? '';
  expect(policy).toContain(`form-action 'self'`);
  expect(policy).toContain(`frame-ancestors 'none'`);
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  expect(policy).not.toMatch(/style-src [^;]*unsafe/);
  expect(answer.headers()['cache-control']).toContain('no-store');
  expect(answer.headers()['x-request-id']).toMatch(/^[\w-]{36}$/);
});
