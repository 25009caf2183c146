import { may, ROLES, type Role } from '../../src/core/people/rights.ts';
import { asks, DOORS, STREAM_ASKS } from '../../src/lib/server/people/doors.ts';
import { expect, sessionOf, test, type App } from './app.ts';

const NOBODY = '00000000-0000-4000-8000-000000000000';
/** A route's address: every stream, and one of everything else. */
const addressesOf = (route: string): { path: string; params: Record<string, string> }[] => {
  const streams = route.includes('[stream]') ? Object.keys(STREAM_ASKS) : [''];
  return streams.map((stream) => ({
    params: { stream },
    path: route
      .replace('[stream]', stream)
      .replace('[file=gaugefile]', 'gauge.svg')
      .replace('[file=jointfile]', 'marks.csv')
      .replace('[station=station]', 'carry')
      .replace('[op]', 'rivet-diameter')
      .replace('[hole]', '1')
      .replace(/\[+\w+=id\]+/g, NOBODY)
  }));
};

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

test('every door, by everyone and by nobody: the server lets through whom the table says', async ({
  app
}) => {
  test.setTimeout(240_000);
  const cookies = new Map<Role | null, string>([[null, '']]);
  for (const role of ROLES) cookies.set(role, await cookieOf(app, NAMES[role]));
  const wrong: string[] = [];
  let tried = 0;
  for (const [route, methods] of Object.entries(DOORS))
    for (const method of Object.keys(methods))
      for (const { path, params } of addressesOf(route))
        for (const [role, cookie] of cookies) {
          // whoever signs out here is out for the rest of the walk
          if (route === '/who/out' || (route === '/account' && method === 'POST')) continue;
          const isPage = !route.startsWith('/api/');
          const answer = await fetch(app.url + path, {
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
          const asked = asks(route, method, params);
          const { status } = answer;
          const toWho = (answer.headers.get('location') ?? '').startsWith('/who?back=');
          const shut = status === 401 || status === 403 || (status === 303 && toWho);
          const open =
            asked === 'anyone' ||
            (role !== null && asked !== null && (asked === 'signed-in' || may(role, asked)));
          const right = open
            ? !shut && status < 500
            : role === null
              ? isPage
                ? toWho
                : status === 401
              : status === 403;
          if (!right) wrong.push(`${method} ${path} by ${role ?? 'nobody'}: ${status}`);
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
  await page.goto(app.url);
  await page
    .getByRole('link', { name: /Bottom skin lap, bay 9/ })
    .first()
    .click();
  await page.getByRole('link', { name: /6 Check/ }).click();
  await expect(
    page.getByRole('note').filter({ hasText: 'To record what a head is' })
  ).toContainText('is not for a trainee in this shop');
  await page.getByRole('link', { name: /5 Drive/ }).click();
  await page.waitForURL(/drive$/);
  await expect(page.getByText('is not for a trainee')).toHaveCount(0);
});
