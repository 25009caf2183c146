import { col, fn, Op, where } from 'sequelize';
import { SIGN_IN } from '../../words/pages/sign-in.ts';
import { asText } from '../db/columns.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { done, refused, type Outcome } from '../outcome.ts';
import { installation } from './installation.ts';
import { logPeople } from './people-log.ts';
import { codeHash, hashSecret, isSecret, readCode } from './secrets.ts';
import { beginSession, endSessionsOf, type SignedInBy } from './sessions.ts';
import { beginTry, rightTry } from './tries.ts';

/** A session's token, for the browser alone. */
export type Token = string;

/** A login is the same however it is written. */
const isLogin = (login: string) => where(fn('lower', col('login')), fn('lower', login));

const WRONG = 'Wrong login or password';
const tooOften = (seconds: number) =>
  refused(
    'busy',
    `Too many attempts. Try again in ${seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} min`} or ask a lead for a code.`
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
  const person = await database.models.Person.scope('withSecrets').findOne({
    where: { [Op.and]: [{ active: true }, isLogin(login)] }
  });
  const right = await isSecret(person?.passwordHash ?? null, password);
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
  const known = await database.models.Person.scope('withSecrets').findOne({
    where: { id: person, active: true }
  });
  const right = await isSecret(known?.pinHash ?? null, pin);
  if (!known || !right) return refused('unreadable', SIGN_IN.notThatPin);
  await rightTry(database, key);
  return done(await comeIn(database, known.id, 'pin', bench));
}

/** By a click, where the people are made up. */
export async function signInToDemo(
  database: Database,
  person: string,
  on: On = null
): Promise<Outcome<Token>> {
  const known = await database.models.Person.scope('here').findOne({
    where: asText('id', person)
  });
  if (!known) return refused('not-found', 'Choose one of the names.');
  if (!(await installation(database)).demo)
    return refused('not-possible', 'One-click sign-in works only in the demo. Use your password.');
  return done(await comeIn(database, known.id, 'demo', on));
}

/** The first time, and whenever a lead gave a new code: the code is spent, the password is kept. */
export async function signInByCode(
  database: Database,
  { login, code, password, name }: { login: string; code: string; password: string; name?: string },
  on: On = null
): Promise<Outcome<Token>> {
  if (password.toLowerCase().includes(login.toLowerCase()))
    return refused('unreadable', 'The password must not contain the login');
  const key = `code ${login.toLowerCase()}`;
  const wait = await beginTry(database, key);
  if (wait > 0) return tooOften(wait);
  if (readCode(code) === '') return refused('unreadable', 'Invalid code');
  const hash = await hashSecret(password);
  const token = await inTransaction(database, async () => {
    const id =
      (await firstLead(database, { login, code, name })) ?? (await spend(database, login, code));
    if (id === null) return null;
    await database.models.Person.update(
      { passwordHash: hash, codeHash: null, codeUntil: null },
      { where: { id } }
    );
    // whoever had the password before is out: that may be why a new code was asked for
    await endSessionsOf(database, id);
    await logPeople(database, 'code-used', { by: id, person: id });
    return comeIn(database, id, 'code', on);
  });
  if (token === null)
    return refused('unreadable', 'Wrong or expired code. Ask a lead for a new one.');
  await rightTry(database, key);
  return done(token);
}

/** Whose code it is; null for nobody's. */
async function spend(database: Database, login: string, code: string): Promise<string | null> {
  const person = await database.models.Person.scope('here').findOne({
    where: {
      [Op.and]: [{ codeHash: codeHash(code), codeUntil: { [Op.gt]: fn('now') } }, isLogin(login)]
    },
    lock: true
  });
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
  const person = await database.models.Person.create({ name, login, role: 'lead' });
  await rowsOf(
    database,
    'update installation set first_code_hash = null, first_code_until = null returning one'
  );
  await logPeople(database, 'added', { by: null, person: person.id, detail: { role: 'lead' } });
  return person.id;
}
