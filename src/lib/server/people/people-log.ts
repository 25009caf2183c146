import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';

/** What is logged of people and their coming and going. */
export type PeopleAct =
  | 'added'
  | 'role'
  | 'left'
  | 'back'
  | 'code-given'
  | 'code-used'
  | 'password'
  | 'pin'
  | 'pin-gone'
  | 'signed-in'
  | 'everywhere-out'
  | 'bench-trusted'
  | 'bench-ended';

/** Notes an act in the log that is only added to; never a secret. */
export async function logPeople(
  database: Database,
  what: PeopleAct,
  { by, person, detail = {} }: { by: string | null; person: string | null; detail?: object }
): Promise<void> {
  await rowsOf(
    database,
    'insert into people_log (by_id, person_id, what, detail) values ($1, $2, $3, $4::jsonb) returning seq',
    [by, person, what, JSON.stringify(detail)]
  );
}
