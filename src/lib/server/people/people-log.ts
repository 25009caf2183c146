import type { Database } from '../db/connect.ts';

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
  { models }: Database,
  what: PeopleAct,
  { by, person, detail = {} }: { by: string | null; person: string | null; detail?: object }
): Promise<void> {
  await models.PeopleLogRow.create({ byId: by, personId: person, what, detail });
}
