import { z } from 'zod';

/** What an item of a list is known by, wherever in the list it stands; made by whoever adds it. */
export const ItemId = z
  .string()
  .regex(/^[^.]+$/, 'an item has an id, without a point in it')
  .max(60);

/** A list in which no two items have one id. */
export const eachOnce = <T extends { id: string }, L extends z.ZodType<T[]>>(list: L): L =>
  list.superRefine((items, context) => {
    const seen = new Set<string>();
    items.forEach(({ id }, index) => {
      if (seen.has(id))
        context.addIssue({
          code: 'custom',
          path: [index, 'id'],
          message: 'two items of this list have one id'
        });
      seen.add(id);
    });
  });

/** The item of an id, or undefined. */
export const byId = <T extends { id: string }>(items: readonly T[], id: string): T | undefined =>
  items.find((item) => item.id === id);

/** Gives one id after the other that no item of a list has: the stem with the next number. */
export function newIds(items: readonly { id: string }[], stem: string): () => string {
  const used = new Set(items.map(({ id }) => id));
  let number = items.length;
  return () => {
    do number += 1;
    while (used.has(`${stem}-${number}`));
    return `${stem}-${number}`;
  };
}

/** An id that no item of a list has. */
export const nextId = (items: readonly { id: string }[], stem: string): string =>
  newIds(items, stem)();

const DATUM = 'fixed:';
/** Running marks measured from one of the fixed holes. */
export const fixedDatum = (id: string): string => `${DATUM}${id}`;
/** Which fixed hole a datum is, or null. */
export const datumHole = (datum: string): string | null =>
  datum.startsWith(DATUM) ? datum.slice(DATUM.length) : null;
