import { fn, literal, Op } from 'sequelize';
import type { Role } from '../../../core/people/rights.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { newToken, tokenHash } from './secrets.ts';

/** Who is at the bench, as every act of a request knows them. */
export interface Present {
  id: string;
  name: string;
  role: Role;
  /** the browser they are signed in on; null before its first request is answered */
  device: string | null;
}

export type SignedInBy = 'password' | 'pin' | 'code' | 'demo';

/** What the browser keeps its session under. */
export const SESSION_COOKIE = 'session';

/** A shift; whoever works longer says again who they are. */
export const SESSION_H = 12;

/** Begins a session, on a shared device where it is one. @returns what the browser holds: it is nowhere kept */
export async function beginSession(
  database: Database,
  personId: string,
  how: SignedInBy,
  bench: string | null = null
): Promise<string> {
  const token = newToken();
  await database.models.Session.create({
    tokenHash: tokenHash(token),
    personId,
    how,
    // reckoned by the clock that ends it
    until: literal(`now() + interval '${SESSION_H} hours'`) as unknown as Date,
    benchId: bench
  });
  return token;
}

/** Who holds a session that has not ended; null for any other. */
export async function presentBy(database: Database, token: string): Promise<Present | null> {
  const [row] = await rowsOf<Present & { stale: boolean }>(
    database,
    'select * from present_by($1)',
    [tokenHash(token)]
  );
  if (!row) return null;
  if (row.stale)
    await database.models.Session.update(
      { seenAt: fn('now') },
      { where: { tokenHash: tokenHash(token) } }
    );
  const { id, name, role, device } = row;
  return { id, name, role, device };
}

/** Clocks of devices are set by hand. */
const CLOCK_MIN = 5;
/** A device that is away goes on after its session’s time: nobody could tell it. Whoever signs out is out. */
const AWAY_H = 48;

/**
 * Whether everyone in whose name something is sent was signed in on this very browser when it happened: a tablet that changes
 * hands sends what another hand did there before, and nobody sends what somebody did elsewhere, or is to have done.
 */
export async function wereHere(
  database: Database,
  device: string | null,
  acts: readonly { person: string; at: string }[]
): Promise<boolean> {
  if (acts.length === 0) return true;
  if (device === null) return false;
  const [found] = await rowsOf<{ stranger: boolean }>(
    database,
    `select exists (
       select from jsonb_to_recordset($1::jsonb) as a (person uuid, at timestamptz)
       where not exists (
         select from sessions s where s.person_id = a.person and s.device_id = $4
           and a.at >= s.begun_at - make_interval(mins => $2)
           and a.at <= coalesce(s.ended_at, s.until + make_interval(hours => $3)) + make_interval(mins => $2))
     ) as stranger`,
    [JSON.stringify(acts), CLOCK_MIN, AWAY_H, device]
  );
  return found?.stranger === false;
}

export async function endSession(database: Database, token: string): Promise<void> {
  await database.models.Session.update(
    { endedAt: fn('now') },
    { where: { tokenHash: tokenHash(token), endedAt: null } }
  );
}

/** Ends every session of a person, but one where it is told. @returns how many were open */
export async function endSessionsOf(
  database: Database,
  personId: string,
  but: string | null = null
): Promise<number> {
  const [ended] = await database.models.Session.update(
    { endedAt: fn('now') },
    {
      where: {
        personId,
        endedAt: null,
        ...(but === null ? {} : { tokenHash: { [Op.ne]: tokenHash(but) } })
      }
    }
  );
  return ended;
}

/** Which of some sessions let nobody in any more: ended, over, or of somebody who has left. */
export async function endedSessions(
  database: Database,
  tokens: readonly string[]
): Promise<string[]> {
  const byHash = new Map(tokens.map((token) => [tokenHash(token), token]));
  const { Session, Person } = database.models;
  const open = await Session.scope('open').findAll({
    attributes: ['tokenHash'],
    where: { tokenHash: [...byHash.keys()] },
    include: { model: Person.scope('here'), as: 'person', required: true, attributes: [] }
  });
  for (const { tokenHash: hash } of open) byHash.delete(hash);
  return [...byHash.values()];
}
