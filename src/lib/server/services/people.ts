import type { Database } from '../db/connect.ts';

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

/** Adds a person; the name must be new. */
export async function addPerson(
  { models }: Database,
  person: { name: string; role: string }
): Promise<PersonView> {
  const { id, name, role } = await models.Person.create(person);
  return { id, name, role };
}
