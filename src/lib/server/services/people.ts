import type { Role } from '../../../core/people/rights.ts';
import type { Database } from '../db/connect.ts';

export interface PersonView {
  id: string;
  name: string;
  role: Role;
}

/** Everyone who works here, or did, by name: what they did stands under it. */
export const listPeople = ({ models }: Database): Promise<PersonView[]> =>
  models.Person.findAll({ order: ['name'], raw: true });

/** Whoever has a PIN for a shared bench, by name. */
export const withPin = ({ models }: Database): Promise<{ id: string; name: string }[]> =>
  models.Person.scope('withPin').findAll({ order: ['name'], raw: true });

/** Adds a person; the name must be new. */
export async function addPerson(
  { models }: Database,
  person: { name: string; role: Role }
): Promise<PersonView> {
  const { id, name, role } = await models.Person.create(person);
  return { id, name, role };
}
