import { DOORS } from '../../words/pages/doors.ts';
import { randomUUID } from 'node:crypto';
import type { Role } from '../../../core/people/rights.ts';
import type { Database } from '../db/connect.ts';
import { inWork, rowsOf } from '../db/work.ts';
import { done, Refused, refused, type Outcome } from '../outcome.ts';
import { logPeople, type PeopleAct } from './people-log.ts';
import { codeHash, hashSecret, isSecret, newCode } from './secrets.ts';
import { endSessionsOf } from './sessions.ts';
import { beginTry, rightTry } from './tries.ts';

/** A person as a lead sees them; never a secret. */
export interface ManagedPerson {
  id: string;
  name: string;
  login: string | null;
  role: Role;
  active: boolean;
  hasPassword: boolean;
  hasPin: boolean;
  /** a code that was given and not used yet is good until */
  codeUntil: string | null;
  /** open sessions */
  open: number;
}

/** A code is for whoever stands beside the lead, or comes in the day after. */
const CODE_H = 48;

export async function managedPeople(database: Database): Promise<ManagedPerson[]> {
  const rows = await rowsOf<Omit<ManagedPerson, 'codeUntil'> & { code_until: Date | null }>(
    database,
    `select p.id, p.name, p.login, p.role, p.active, p.password_hash is not null as "hasPassword",
       p.pin_hash is not null as "hasPin", case when p.code_until > now() then p.code_until end as code_until,
       (select count(*)::integer from sessions s
        where s.person_id = p.id and s.ended_at is null and s.until > now()) as open
     from people p order by p.active desc, p.name`
  );
  return rows.map(({ code_until, ...person }) => ({
    ...person,
    codeUntil: code_until?.toISOString() ?? null
  }));
}

const isTwice = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && error.code === '23505';

/** One lead's act on people, all of it or nothing. */
async function act<T>(database: Database, inside: () => Promise<T>): Promise<Outcome<T>> {
  try {
    return done(await inWork(database, inside));
  } catch (error) {
    if (error instanceof Refused) return error.outcome;
    if (isTwice(error)) return refused('conflict', DOORS.nameTaken);
    throw error;
  }
}

/** Gives somebody a code to come in with once; what they had for a password stays good until they use it. */
async function giveCode(database: Database, person: string, by: string): Promise<string> {
  const code = newCode();
  const given = await rowsOf(
    database,
    `update people set code_hash = $2, code_until = now() + make_interval(hours => $3)
     where id::text = $1 and active and login is not null returning id`,
    [person, codeHash(code), CODE_H]
  );
  if (given.length === 0)
    throw new Refused('not-possible', 'only somebody with a login who is here gets a code');
  await logPeople(database, 'code-given', { by, person });
  return code;
}

/** @returns the code that the new person comes in with: it is shown once */
export const enterPerson = (
  database: Database,
  { name, login, role }: { name: string; login: string; role: Role },
  by: string
): Promise<Outcome<{ id: string; code: string }>> =>
  act(database, async () => {
    const id = randomUUID();
    await rowsOf(
      database,
      'insert into people (id, name, login, role) values ($1, $2, $3, $4) returning id',
      [id, name, login, role]
    );
    await logPeople(database, 'added', { by, person: id, detail: { name, login, role } });
    return { id, code: await giveCode(database, id, by) };
  });

export const newCodeFor = (
  database: Database,
  person: string,
  by: string
): Promise<Outcome<string>> => act(database, () => giveCode(database, person, by));

/** Somebody must be left who can let others in. */
async function leadLeft(database: Database): Promise<void> {
  // whoever changes leads does it one after the other
  await rowsOf(database, 'select one from installation for update');
  const leads = await rowsOf(database, `select id from people where role = 'lead' and active`);
  if (leads.length === 0) throw new Refused('not-possible', DOORS.lastLead);
}

async function change(
  database: Database,
  person: string,
  by: string,
  what: PeopleAct,
  set: string,
  values: unknown[]
): Promise<void> {
  const changed = await rowsOf(
    database,
    `update people set ${set} where id::text = $1 returning id`,
    [person, ...values]
  );
  if (changed.length === 0) throw new Refused('not-found', 'there is no such person');
  await logPeople(database, what, { by, person, detail: { to: values[0] ?? null } });
}

export const setRole = (
  database: Database,
  person: string,
  role: Role,
  by: string
): Promise<Outcome<void>> =>
  act(database, async () => {
    await change(database, person, by, 'role', 'role = $2', [role]);
    await leadLeft(database);
  });

/** Somebody who has left comes in no more; what they did stays under their name. */
export const setActive = (
  database: Database,
  person: string,
  active: boolean,
  by: string
): Promise<Outcome<void>> =>
  act(database, async () => {
    await change(database, person, by, active ? 'back' : 'left', 'active = $2', [active]);
    await leadLeft(database);
    if (!active) await endSessionsOf(database, person);
  });

/** Whether it is somebody’s own password; null: it is. */
async function notOwnPassword(
  database: Database,
  person: string,
  old: string
): Promise<Outcome<never> | null> {
  const key = `own ${person}`;
  const wait = await beginTry(database, key);
  if (wait > 0) return refused('busy', `too many wrong ones: try again in ${wait} s`);
  const [row] = await rowsOf<{ password_hash: string | null }>(
    database,
    'select password_hash from people where id = $1',
    [person]
  );
  if (!(await isSecret(row?.password_hash ?? null, old)))
    return refused('unreadable', 'that is not the password');
  await rightTry(database, key);
  return null;
}

/** Another password, by whoever knows the one before; every other session ends. */
export async function changePassword(
  database: Database,
  person: { id: string },
  { old, password }: { old: string; password: string },
  session: string
): Promise<Outcome<number>> {
  const wrong = await notOwnPassword(database, person.id, old);
  if (wrong) return wrong;
  const hash = await hashSecret(password);
  return act(database, async () => {
    await rowsOf(database, 'update people set password_hash = $2 where id = $1 returning id', [
      person.id,
      hash
    ]);
    await logPeople(database, 'password', { by: person.id, person: person.id });
    return endSessionsOf(database, person.id, session);
  });
}

/** A PIN of one's own for trusted benches, by whoever knows the password; null: none any more. */
export async function setPin(
  database: Database,
  person: { id: string },
  password: string,
  pin: string | null
): Promise<Outcome<void>> {
  const wrong = await notOwnPassword(database, person.id, password);
  if (wrong) return wrong;
  const hash = pin === null ? null : await hashSecret(pin);
  return act(database, async () => {
    await rowsOf(database, 'update people set pin_hash = $2 where id = $1 returning id', [
      person.id,
      hash
    ]);
    await logPeople(database, pin === null ? 'pin-gone' : 'pin', {
      by: person.id,
      person: person.id
    });
  });
}
