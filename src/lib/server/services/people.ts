import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';

export interface PersonView {
  id: string;
  name: string;
  role: string;
}

/** Everyone who works here, by name. */
export async function listPeople({ models }: Database): Promise<PersonView[]> {
  const people = await models.Person.findAll({ order: [['name', 'ASC']] });
  return people.map(({ id, name, role }) => ({ id, name, role }));
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** One person, or null where there is none of this id. */
export async function personOf(database: Database, id: string): Promise<PersonView | null> {
  if (!UUID.test(id)) return null;
  const [person] = await rowsOf<PersonView>(
    database,
    'select id, name, role from people where id = $1',
    [id]
  );
  return person ?? null;
}

/** Adds a person; the name must be new. */
export async function addPerson(
  { models }: Database,
  person: { name: string; role: string }
): Promise<PersonView> {
  const { id, name, role } = await models.Person.create(person);
  return { id, name, role };
}
