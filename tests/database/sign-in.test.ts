import { beforeAll, describe, expect, it } from 'vitest';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { firstCode, installation } from '../../src/lib/server/people/installation.ts';
import {
  changePassword,
  enterPerson,
  managedPeople,
  newCodeFor,
  setActive,
  setPin,
  setRole
} from '../../src/lib/server/people/manage.ts';
import { benchBy, endBench, trustBench } from '../../src/lib/server/people/benches.ts';
import { OpenStreams } from '../../src/lib/server/open-streams.ts';
import { tieToDevice } from '../../src/lib/server/people/devices.ts';
import {
  beginSession,
  endSession,
  presentBy,
  wereHere
} from '../../src/lib/server/people/sessions.ts';
import {
  signInByCode,
  signInByPassword,
  signInByPin,
  signInToDemo
} from '../../src/lib/server/people/sign-in.ts';
import { useDatabase } from './database.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
const PASSWORD = 'four teal oars adrift';
const present = async (token: string) => presentBy(database(), token);
const inBy = (login: string, password: string) => signInByPassword(database(), { login, password });
/** the tries of everyone a while ago */
const later = (seconds: number) =>
  rowsOf(
    database(),
    'update sign_in_tries set last_at = last_at - make_interval(secs => $1) returning key',
    [seconds]
  );
let lead = '';

beforeAll(async () => {
  const code = (await firstCode(database())) ?? '';
  expect(code).toMatch(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/);
  const first = { login: 'runa', name: 'Runa Holt', password: PASSWORD };
  // a code that nobody printed lets nobody in
  expect(whyNot(await signInByCode(database(), { ...first, code: 'AAAA-BBBB-CCCC' }))).toBe(
    'unreadable'
  );
  const token = valueOf(
    await signInByCode(database(), { ...first, code: code.toLowerCase().replaceAll('-', ' ') })
  );
  lead = (await present(token))?.id ?? '';
});

describe('the first lead', () => {
  it('comes in by the printed code, once', async () => {
    expect(await managedPeople(database())).toMatchObject([
      { id: lead, name: 'Runa Holt', role: 'lead', hasPassword: true, codeUntil: null }
    ]);
    expect(await firstCode(database())).toBeNull();
    expect(await installation(database())).toEqual({ demo: false, empty: false });
  });

  it('nobody comes in by a click where the people are real', async () => {
    expect(await signInToDemo(database(), lead)).toMatchObject({
      ok: false,
      reason: 'not-possible'
    });
  });
});

describe('a password', () => {
  it('lets in whoever knows it, however the login is written; nothing of it is kept', async () => {
    const token = valueOf(await inBy('RUNA', PASSWORD));
    expect(await present(token)).toEqual({
      ...{ id: lead, name: 'Runa Holt', role: 'lead' },
      device: null
    });
    const rows = await rowsOf<{ all: string }>(
      database(),
      `select (select json_agg(p) from people p)::text || (select json_agg(s) from sessions s)::text
         || (select json_agg(l) from people_log l)::text as all`
    );
    expect(rows[0]?.all).not.toContain(PASSWORD);
    expect(rows[0]?.all).not.toContain(token);
    expect(rows[0]?.all).toContain('$argon2id$');
    await endSession(database(), token);
    expect(await present(token)).toBeNull();
  });

  it('is told apart from an unknown login by nothing', async () => {
    const [wrong, unknown] = [await inBy('runa', 'x'), await inBy('nobody', 'x')];
    expect(whyNot(wrong)).toBe('unreadable');
    expect(!wrong.ok && !unknown.ok && wrong.message === unknown.message).toBe(true);
    await later(1000);
    valueOf(await inBy('runa', PASSWORD));
  });

  it('is waited for after three wrong ones, longer each time, also when they come all at once', async () => {
    const tries = await Promise.all(Array.from({ length: 12 }, () => inBy('runa', 'guess')));
    const told = tries.map((one) => (one.ok ? '' : one.message));
    expect(told.filter((text) => text.startsWith('Wrong login'))).toHaveLength(3);
    expect(told.filter((text) => text.startsWith('Too many'))).toHaveLength(9);
    // the right one waits as well: else one would learn that it is right
    expect(await inBy('runa', PASSWORD)).toMatchObject({ ok: false, reason: 'busy' });
    await later(3);
    expect(await inBy('runa', 'guess')).toMatchObject({ reason: 'unreadable' });
    await later(3);
    expect(await inBy('runa', PASSWORD)).toMatchObject({ reason: 'busy' });
    await later(3);
    valueOf(await inBy('runa', PASSWORD));
    // and what was wrong before is forgotten
    expect(await inBy('runa', 'x')).toMatchObject({ reason: 'unreadable' });
    valueOf(await inBy('runa', PASSWORD));
  });

  it('is changed by whoever knows the one before; every other session ends', async () => {
    const [here, elsewhere] = [
      valueOf(await inBy('runa', PASSWORD)),
      valueOf(await inBy('runa', PASSWORD))
    ];
    const change = (old: string) =>
      changePassword(database(), { id: lead }, { old, password: 'a tide table, folded' }, here);
    expect(whyNot(await change('not it'))).toBe('unreadable');
    expect(valueOf(await change(PASSWORD))).toBeGreaterThanOrEqual(1);
    expect(await present(here)).not.toBeNull();
    expect(await present(elsewhere)).toBeNull();
    expect(whyNot(await inBy('runa', PASSWORD))).toBe('unreadable');
    valueOf(await inBy('runa', 'a tide table, folded'));
  });
});

describe('people', () => {
  it('are entered by a lead, and come in by a code that is good once', async () => {
    const { id, code } = valueOf(
      await enterPerson(database(), { name: 'Ole Brandt', login: 'ole', role: 'mechanic' }, lead)
    );
    expect(
      await enterPerson(database(), { name: 'Ole B.', login: 'OLE', role: 'mechanic' }, lead)
    ).toMatchObject({ ok: false, reason: 'conflict' });
    const come = (given: string, password = 'green dinghy at noon') =>
      signInByCode(database(), { login: 'ole', code: given, password });
    expect(whyNot(await come(code, 'my name is ole now'))).toBe('unreadable');
    const token = valueOf(await come(code));
    expect(await present(token)).toMatchObject({ id, role: 'mechanic' });
    await later(1000);
    expect(whyNot(await come(code))).toBe('unreadable');
    // a code that is too old
    const late = valueOf(await newCodeFor(database(), id, lead));
    await rowsOf(database(), `update people set code_until = now() where id = $1 returning id`, [
      id
    ]);
    await later(1000);
    expect(whyNot(await come(late))).toBe('unreadable');
  });

  it('are acted for by others only for what they did while they were here', async () => {
    await later(1000);
    const { id, code } = valueOf(
      await enterPerson(database(), { name: 'Berit Moe', login: 'berit', role: 'mechanic' }, lead)
    );
    const at = (minutes: number) => new Date(Date.now() + minutes * 60_000).toISOString();
    const token = valueOf(
      await signInByCode(database(), { login: 'berit', code, password: 'rain on a tin hull' })
    );
    const { device, token: browser } = await tieToDevice(database(), token, undefined);
    const sent = (minutes: number, from = device) =>
      wereHere(database(), from, [{ person: id, at: at(minutes) }]);
    // another browser, however much she was here at the time; and one that nobody knows
    const other = await beginSession(database(), lead, 'demo');
    const { device: elsewhere } = await tieToDevice(database(), other, undefined);
    expect([await sent(1, elsewhere), await sent(1, null)]).toEqual([false, false]);
    // a device that was away logs on after its session's time, and what was before it is nobody's
    expect([await sent(1), await sent(13 * 60), await sent(-30), await sent(61 * 60)]).toEqual([
      true,
      true,
      false,
      false
    ]);
    await endSession(database(), token);
    expect([await sent(0), await sent(20)]).toEqual([true, false]);
    // the next hand at the same browser sends what she left there
    const next = await beginSession(database(), lead, 'demo');
    expect(await tieToDevice(database(), next, browser ?? '')).toEqual({ device, token: null });
    expect(await sent(0)).toBe(true);
    expect(await wereHere(database(), null, [])).toBe(true);
  });

  it('are known by the browser that they sign in on, once', async () => {
    const session = await beginSession(database(), lead, 'demo');
    const tied = await tieToDevice(database(), session, 'a name that it made up');
    expect(tied).toMatchObject({
      device: expect.any(String) as string,
      token: expect.any(String) as string
    });
    // a session stays where it was begun, whatever a browser says later
    const elsewhere = await tieToDevice(
      database(),
      await beginSession(database(), lead, 'demo'),
      undefined
    );
    expect(await tieToDevice(database(), session, elsewhere.token ?? '')).toEqual({
      device: tied.device,
      token: null
    });
    expect(await presentBy(database(), session)).toMatchObject({ device: tied.device });
    expect(await tieToDevice(database(), 'no session', undefined)).toEqual({
      device: null,
      token: null
    });
    // two requests of one page at once: one browser
    const both = await beginSession(database(), lead, 'demo');
    const [one, two] = await Promise.all(
      [1, 2].map(() => tieToDevice(database(), both, undefined))
    );
    expect(one?.device).toBe(two?.device);
    expect([one?.token, two?.token].filter((token) => token !== null)).toHaveLength(1);
  });

  it('who have left come in no more, and what they did stays theirs', async () => {
    await later(1000);
    const { id, code } = valueOf(
      await enterPerson(database(), { name: 'Maro Lind', login: 'maro', role: 'trainee' }, lead)
    );
    const token = valueOf(
      await signInByCode(database(), { login: 'maro', code, password: 'wet rope, dry hands' })
    );
    valueOf(await setRole(database(), id, 'inspector', lead));
    // at once, in the session that is open
    expect(await present(token)).toMatchObject({ role: 'inspector' });
    valueOf(await setActive(database(), id, false, lead));
    expect(await present(token)).toBeNull();
    expect(whyNot(await inBy('maro', 'wet rope, dry hands'))).toBe('unreadable');
    expect((await managedPeople(database())).map(({ name }) => name)).toContain('Maro Lind');
  });

  it('have a lead: the last one neither leaves nor becomes something else', async () => {
    expect(whyNot(await setRole(database(), lead, 'mechanic', lead))).toBe('not-possible');
    expect(whyNot(await setActive(database(), lead, false, lead))).toBe('not-possible');
    expect((await managedPeople(database())).find(({ id }) => id === lead)).toMatchObject({
      role: 'lead',
      active: true
    });
  });

  it('are changed in a log that is only added to', async () => {
    const log = await rowsOf<{ what: string }>(
      database(),
      'select what from people_log order by seq'
    );
    const acts = log.map(({ what }) => what);
    for (const act of ['added', 'code-given', 'code-used', 'role', 'left', 'password', 'signed-in'])
      expect(acts).toContain(act);
    await expect(
      rowsOf(database(), `update people_log set what = 'nothing' returning seq`)
    ).rejects.toThrow();
    await expect(rowsOf(database(), 'delete from people_log returning seq')).rejects.toThrow();
  });
});

describe('a shared bench', () => {
  it('changes hands by PIN while a lead trusts it', async () => {
    const token = await trustBench(database(), 'bench by the slip', lead);
    const bench = await benchBy(database(), token);
    if (!bench) throw new Error('not a shared device');
    const pin = (typed: string) => signInByPin(database(), bench, { person: lead, pin: typed });
    expect(whyNot(await pin(''))).toBe('unreadable');
    expect(whyNot(await setPin(database(), { id: lead }, 'not it', '271828'))).toBe('unreadable');
    valueOf(await setPin(database(), { id: lead }, 'a tide table, folded', '271828'));
    await later(1000);
    expect(whyNot(await pin('271829'))).toBe('unreadable');
    const byPin = valueOf(await pin('271828'));
    expect(await present(byPin)).toMatchObject({ id: lead });
    const byPassword = valueOf(
      await signInByPassword(database(), { login: 'runa', password: 'a tide table, folded' }, bench)
    );
    const elsewhere = await beginSession(database(), lead, 'password');
    expect(await endBench(database(), bench.id, lead)).toBe(true);
    // what was begun on it ends with it, and nothing else
    expect(await present(byPin)).toBeNull();
    expect(await present(byPassword)).toBeNull();
    expect(await present(elsewhere)).toMatchObject({ id: lead });
    expect(await endBench(database(), bench.id, lead)).toBe(false);
    expect(await benchBy(database(), token)).toBeNull();
    expect(await benchBy(database(), 'made up')).toBeNull();
  });
});

describe('streams that a browser holds open', () => {
  it('end when their session does, or whoever it is has left; the others stay', async () => {
    const mechanic = valueOf(
      await enterPerson(
        database(),
        { name: 'Stream Hand', login: 'stream-hand', role: 'mechanic' },
        lead
      )
    ).id;
    const streams = new OpenStreams(database);
    const closed: string[] = [];
    const opened = async (name: string, person: string) => {
      const session = await beginSession(database(), person, 'password');
      const off = streams.add(session, () => {
        closed.push(name);
        off();
      });
      return session;
    };
    const out = await opened('signed out', lead);
    await opened('has left', mechanic);
    const stays = await opened('stays', lead);
    await streams.look();
    expect(closed).toEqual([]);
    await endSession(database(), out);
    await streams.look();
    expect(closed).toEqual(['signed out']);
    valueOf(await setActive(database(), mechanic, false, lead));
    await streams.look();
    expect(closed).toEqual(['signed out', 'has left']);
    await endSession(database(), stays);
    await streams.look();
    await streams.look();
    expect(closed).toEqual(['signed out', 'has left', 'stays']);
  });
});
