import { RIGHT_WORDS } from '../../src/lib/words/roles.ts';
import { ROLES, type Role } from '../../src/core/people/rights.ts';
import { routesInTree } from '../support/routes.ts';
import { WHO_MAY, type Comer } from '../support/who-may.ts';
import { addressOf, demoJoint, expect, sessionOf, test, type App } from './app.ts';

const NOBODY = '00000000-0000-4000-8000-000000000000';
/** An address that a door of the table stands for. */
const pathOf = (route: string, stream: string): string =>
  route
    .replace('[stream]', stream === '' ? 'drive' : stream)
    .replace('[file=gaugefile]', 'gauge.svg')
    .replace('[file=jointfile]', 'marks.csv')
    .replace('[station=station]', 'size')
    .replace('[op]', 'rivet-diameter')
    .replace('[hole]', '1')
    .replace(/\[+\w+=id\]+/g, NOBODY);

/** As a browser would send it. */
const cookieOf = async (app: App, name: string): Promise<string> =>
  `session=${(await sessionOf(app, name)).value}`;

const NAMES: Record<Role, string> = {
  lead: 'Runa Halvik',
  mechanic: 'Ilse Varnholt',
  inspector: 'Tomas Ekbrand',
  trainee: 'Benn Achterby',
  instructor: 'Sunniva Ask'
};
/** Whoever signs out or changes a password here is out for the rest of the walk. */
const ENDS_SESSIONS = new Set(['GET /who/out', 'POST /who/out', 'POST /account']);

test('every door there is stands in the table by hand', () => {
  const inTable = Object.values(WHO_MAY).flatMap(({ through }) => through);
  expect(new Set(inTable).size).toBe(inTable.length);
  expect([...new Set(inTable.map((door) => door.replace(/:.*/, '')))].sort()).toEqual(
    // a page that only acts is shown by nobody, and leads on
    routesInTree()
  );
});

test('every door, by everyone and by nobody: the server lets through whom the table by hand says', async ({
  app
}) => {
  test.setTimeout(240_000);
  const cookies = new Map<Comer, string>([['nobody', '']]);
  for (const role of ROLES) cookies.set(role, await cookieOf(app, NAMES[role]));
  const wrong: string[] = [];
  let tried = 0;
  for (const { may, through } of Object.values(WHO_MAY))
    for (const door of through) {
      const [, method = '', route = '', stream = ''] = /^(\w+) (.*?)(?::(\w+))?$/.exec(door) ?? [];
      if (ENDS_SESSIONS.has(door)) continue;
      for (const [comer, cookie] of cookies) {
        const isPage = !route.startsWith('/api/');
        const answer = await fetch(app.url + pathOf(route, stream), {
          method,
          redirect: 'manual',
          headers: {
            origin: app.url,
            cookie,
            ...(isPage ? { accept: 'text/html' } : { 'content-type': 'application/json' })
          },
          ...(method === 'GET' ? {} : { body: isPage ? new URLSearchParams({}) : '{}' })
        });
        await answer.body?.cancel();
        tried += 1;
        const { status } = answer;
        const toWho = (answer.headers.get('location') ?? '').startsWith('/who?back=');
        const shut = status === 401 || status === 403 || (status === 303 && toWho);
        // nobody is sent to sign in, a program is told so; whoever is in is told that it is not for them
        const rightlyShut = comer !== 'nobody' ? status === 403 : isPage ? toWho : status === 401;
        if (may.includes(comer) ? shut || status >= 500 : !rightlyShut)
          wrong.push(`${door} by ${comer}: ${status}`);
      }
    }
  expect(wrong).toEqual([]);
  expect(tried).toBeGreaterThan(300);
});

test('a session that was stolen before one signs in is worth nothing after', async ({ app }) => {
  // what a browser brings along does not become the session
  const fixed = 'session=chosen-by-somebody-else';
  const page = await fetch(app.url, { headers: { cookie: fixed }, redirect: 'manual' });
  expect(page.headers.get('location')).toMatch(/^\/who/);
  const before = await cookieOf(app, NAMES.mechanic);
  const who = await (await fetch(`${app.url}/who`, { headers: { cookie: before } })).text();
  const person = /value="([^"]+)"[^>]*>\s*<strong[^>]*>Tomas Ekbrand/.exec(who)?.[1] ?? '';
  const change = await fetch(`${app.url}/who?/demo`, {
    method: 'POST',
    headers: { origin: app.url, cookie: before },
    body: new URLSearchParams({ person }),
    redirect: 'manual'
  });
  const after = change.headers.getSetCookie().find((cookie) => cookie.startsWith('session='));
  expect(after).not.toContain(before);
  // no script reads it, no other site sends it
  expect(after).toMatch(/HttpOnly/i);
  expect(after).toMatch(/SameSite=Strict/i);
  // the one that was taken over is over
  const old = await fetch(app.url, { headers: { cookie: before }, redirect: 'manual' });
  expect(old.headers.get('location')).toMatch(/^\/who/);
});

test('a trainee reads at a station that is not theirs to log at, before anything is typed', async ({
  page,
  app
}) => {
  await page.context().addCookies([{ ...(await sessionOf(app, NAMES.trainee)), url: app.url }]);
  const joint = await demoJoint(app, /Bottom skin lap, bay 9/);
  await page.goto(addressOf(app, joint, 'inspect'));
  await expect(page.getByRole('note').filter({ hasText: RIGHT_WORDS.inspect })).toContainText(
    'The trainee role cannot'
  );
  await page.getByTestId('stage-drive').click();
  await page.waitForURL(/drive$/);
  await expect(page.getByText('The trainee role cannot')).toHaveCount(0);
});
