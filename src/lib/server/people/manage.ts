import { SIGN_IN } from '../../words/pages/sign-in.ts';
import { literal, Op, UniqueConstraintError } from 'sequelize';
import type { Role } from '../../../core/people/rights.ts';
import { asText } from '../db/columns.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
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
  const { Person, Session } = database.models;
  const rows = await Person.scope('withSecrets').findAll({
    include: {
      model: Session.scope('open'),
      as: 'sessions',
      required: false,
      attributes: ['tokenHash']
    },
    order: [
      ['active', 'desc'],
      ['name', 'asc']
    ]
  });
  return rows.map(({ id, name, login, role, active, ...own }) => ({
    id,
    name,
    login,
    role,
    active,
    hasPassword: own.passwordHash !== null,
    hasPin: own.pinHash !== null,
    codeUntil:
      own.codeUntil && own.codeUntil.getTime() > Date.now() ? own.codeUntil.toISOString() : null,
    open: own.sessions?.length ?? 0
  }));
}

/** One lead's act on people, all of it or nothing. */
async function act<T>(database: Database, inside: () => Promise<T>): Promise<Outcome<T>> {
  try {
    return done(await inTransaction(database, inside));
  } catch (error) {
    if (error instanceof Refused) return error.outcome;
    if (error instanceof UniqueConstraintError) return refused('conflict', SIGN_IN.nameTaken);
    throw error;
  }
}

/** Gives somebody a code to come in with once; what they had for a password stays good until they use it. */
async function giveCode(database: Database, person: string, by: string): Promise<string> {
  const code = newCode();
  const [given] = await database.models.Person.update(
    { codeHash: codeHash(code), codeUntil: literal(`now() + interval '${CODE_H} hours'`) },
    { where: { [Op.and]: [{ active: true, login: { [Op.ne]: null } }, asText('id', person)] } }
  );
  if (given === 0)
    throw new Refused('not-possible', 'Only an active user with a login can get a code');
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
    const { id } = await database.models.Person.create({ name, login, role });
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
  const leads = await database.models.Person.scope('here').count({ where: { role: 'lead' } });
  if (leads === 0) throw new Refused('not-possible', SIGN_IN.lastLead);
}

async function change(
  database: Database,
  person: string,
  by: string,
  what: PeopleAct,
  set: { role: Role } | { active: boolean }
): Promise<void> {
  const [changed] = await database.models.Person.update(set, { where: asText('id', person) });
  if (changed === 0) throw new Refused('not-found', 'there is no such person');
  await logPeople(database, what, {
    by,
    person,
    detail: { to: 'role' in set ? set.role : set.active }
  });
}

export const setRole = (
  database: Database,
  person: string,
  role: Role,
  by: string
): Promise<Outcome<void>> =>
  act(database, async () => {
    await change(database, person, by, 'role', { role });
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
    await change(database, person, by, active ? 'back' : 'left', { active });
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
  const row = await database.models.Person.scope('withSecrets').findByPk(person);
  if (!(await isSecret(row?.passwordHash ?? null, old)))
    return refused('unreadable', 'Wrong password');
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
    await database.models.Person.update({ passwordHash: hash }, { where: { id: person.id } });
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
    await database.models.Person.update({ pinHash: hash }, { where: { id: person.id } });
    await logPeople(database, pin === null ? 'pin-gone' : 'pin', {
      by: person.id,
      person: person.id
    });
  });
}
