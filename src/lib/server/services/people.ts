import type { Role } from '../../../core/people/rights.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';

export interface PersonView {
  id: string;
  name: string;
  role: Role;
}

/** Everyone who works here, or did, by name: what they did stands under it. */
export const listPeople = (database: Database): Promise<PersonView[]> =>
  rowsOf(database, 'select id, name, role from people order by name');

/** Whoever has a PIN for a shared bench, by name. */
export const withPin = (database: Database): Promise<{ id: string; name: string }[]> =>
  rowsOf(
    database,
    'select id, name from people where pin_hash is not null and active order by name'
  );

/** Adds a person; the name must be new. */
export async function addPerson(
  { models }: Database,
  person: { name: string; role: Role }
): Promise<PersonView> {
  const { id, name, role } = await models.Person.create(person);
  return { id, name, role };
}
