import { DOORS } from '../../words/pages/doors.ts';
import type { Database } from '../db/connect.ts';
import { inWork, rowsOf } from '../db/work.ts';
import { done, refused, type Outcome } from '../outcome.ts';
import { logPeople } from './people-log.ts';
import { codeHash, hashSecret, isSecret, readCode } from './secrets.ts';
import { beginSession, endSessionsOf, type SignedInBy } from './sessions.ts';
import { beginTry, rightTry } from './tries.ts';

/** A session's token, for the browser alone. */
export type Token = string;

const WRONG = 'that login and password do not go together';
const tooOften = (seconds: number) =>
  refused(
    'busy',
    `too many wrong ones: try again in ${seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} min`}, or ask a lead for a code`
  );

/** The shared device that somebody comes in on; null for one of their own. */
type On = { id: string } | null;

async function comeIn(
  database: Database,
  id: string,
  how: SignedInBy,
  on: On = null
): Promise<Token> {
  const token = await beginSession(database, id, how, on?.id ?? null);
  await logPeople(database, 'signed-in', { by: id, person: id, detail: { how } });
  return token;
}

/** By login and password. An unknown login is told and timed as a wrong password. */
export async function signInByPassword(
  database: Database,
  { login, password }: { login: string; password: string },
  on: On = null
): Promise<Outcome<Token>> {
  const key = `password ${login.toLowerCase()}`;
  const wait = await beginTry(database, key);
  if (wait > 0) return tooOften(wait);
  const [person] = await rowsOf<{ id: string; password_hash: string | null }>(
    database,
    'select id, password_hash from people where lower(login) = lower($1) and active',
    [login]
  );
  const right = await isSecret(person?.password_hash ?? null, password);
  if (!person || !right) return refused('unreadable', WRONG);
  await rightTry(database, key);
  return done(await comeIn(database, person.id, 'password', on));
}

/** By PIN, on a bench that a lead has trusted: the same hand that knows the password chose it. */
export async function signInByPin(
  database: Database,
  bench: { id: string },
  { person, pin }: { person: string; pin: string }
): Promise<Outcome<Token>> {
  const key = `pin ${person} ${bench.id}`;
  const wait = await beginTry(database, key);
  if (wait > 0) return tooOften(wait);
  const [known] = await rowsOf<{ id: string; pin_hash: string | null }>(
    database,
    'select id, pin_hash from people where id = $1 and active',
    [person]
  );
  const right = await isSecret(known?.pin_hash ?? null, pin);
  if (!known || !right) return refused('unreadable', DOORS.notThatPin);
  await rightTry(database, key);
  return done(await comeIn(database, known.id, 'pin', bench));
}

/** By a click, where the people are made up. */
export async function signInToDemo(
  database: Database,
  person: string,
  on: On = null
): Promise<Outcome<Token>> {
  const [known] = await rowsOf<{ id: string; demo: boolean }>(
    database,
    'select p.id, i.demo from people p cross join installation i where p.id::text = $1 and p.active',
    [person]
  );
  if (!known) return refused('not-found', 'Choose one of the names.');
  if (!known.demo)
    return refused('not-possible', 'only the people of the demo come in by a click: sign in');
  return done(await comeIn(database, known.id, 'demo', on));
}

/** The first time, and whenever a lead gave a new code: the code is spent, the password is kept. */
export async function signInByCode(
  database: Database,
  { login, code, password, name }: { login: string; code: string; password: string; name?: string },
  on: On = null
): Promise<Outcome<Token>> {
  if (password.toLowerCase().includes(login.toLowerCase()))
    return refused('unreadable', 'a password does not hold the login');
  const key = `code ${login.toLowerCase()}`;
  const wait = await beginTry(database, key);
  if (wait > 0) return tooOften(wait);
  if (readCode(code) === '') return refused('unreadable', 'that is no code');
  const hash = await hashSecret(password);
  const token = await inWork(database, async () => {
    const id =
      (await firstLead(database, { login, code, name })) ?? (await spend(database, login, code));
    if (id === null) return null;
    await rowsOf(
      database,
      'update people set password_hash = $2, code_hash = null, code_until = null where id = $1 returning id',
      [id, hash]
    );
    // whoever had the password before is out: that may be why a new code was asked for
    await endSessionsOf(database, id);
    await logPeople(database, 'code-used', { by: id, person: id });
    return comeIn(database, id, 'code', on);
  });
  if (token === null)
    return refused(
      'unreadable',
      'that code does not go with this login, or its time is over: ask a lead for a new one'
    );
  await rightTry(database, key);
  return done(token);
}

/** Whose code it is; null for nobody's. */
async function spend(database: Database, login: string, code: string): Promise<string | null> {
  const [person] = await rowsOf<{ id: string }>(
    database,
    `select id from people where lower(login) = lower($1) and active
       and code_hash = $2 and code_until > now() for update`,
    [login, codeHash(code)]
  );
  return person?.id ?? null;
}

/** Enters the first lead by the code that the start command printed; null where there is a lead already. */
async function firstLead(
  database: Database,
  { login, code, name }: { login: string; code: string; name?: string }
): Promise<string | null> {
  const [open] = await rowsOf<{ right: boolean }>(
    database,
    `select coalesce(first_code_hash = $1 and first_code_until > now(), false) as right
     from installation where not demo and not exists (select from people) for update`,
    [codeHash(code)]
  );
  if (!open?.right || name === undefined) return null;
  const [person] = await rowsOf<{ id: string }>(
    database,
    `insert into people (id, name, login, role) values (gen_random_uuid(), $1, $2, 'lead') returning id`,
    [name, login]
  );
  await rowsOf(
    database,
    'update installation set first_code_hash = null, first_code_until = null returning one'
  );
  if (person)
    await logPeople(database, 'added', { by: null, person: person.id, detail: { role: 'lead' } });
  return person?.id ?? null;
}
