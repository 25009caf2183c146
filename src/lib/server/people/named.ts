import { may, type Right } from '../../../core/people/rights.ts';
import { mayNotInWords } from '../../words/roles.ts';
import type { Database } from '../db/connect.ts';

/**
 * Whether somebody in whose name something is sent may not do it: whoever sends it may, that says nothing of them.
 *
 * @returns the refusal; null where all of them may
 */
export async function namedWithoutRight(
  { models }: Database,
  right: Right,
  acts: readonly { person: string }[]
): Promise<string | null> {
  if (acts.length === 0) return null;
  const named = await models.Person.findAll({
    where: { id: [...new Set(acts.map(({ person }) => person))] },
    raw: true
  });
  const without = named.find(({ role }) => !may(role, right));
  return without ? `${without.name}: ${mayNotInWords(without.role, right)}` : null;
}
