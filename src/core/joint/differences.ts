/** One field that differs between two versions of a document. */
export interface Difference {
  path: string;
  was: string;
  now: string;
}

const isNode = (value: unknown): value is object => typeof value === 'object' && value !== null;

const show = (value: unknown): string => {
  if (value === undefined || value === null || value === '') return 'empty';
  return typeof value === 'object' ? JSON.stringify(value) : String(value as string | number);
};

interface Named {
  id: string;
}
const isNamed = (list: readonly unknown[]): list is Named[] =>
  list.every((item) => isNode(item) && 'id' in item && typeof item.id === 'string');

/** Items of two lists by their ids; where only their order differs, that is one entry. */
function listDifferences(was: readonly Named[], now: readonly Named[], path: string): Difference[] {
  const [before, after] = [was, now].map((list) => new Map(list.map((item) => [item.id, item])));
  const ids = [...new Set([...was, ...now].map(({ id }) => id))];
  const found = ids.flatMap((id) =>
    differences(before?.get(id), after?.get(id), path === '' ? id : `${path}.${id}`)
  );
  const order = (list: readonly Named[], other: Map<string, Named> | undefined) =>
    list.flatMap(({ id }) => (other?.has(id) ? [id] : [])).join(', ');
  const [first, second] = [order(was, after), order(now, before)];
  return first === second ? found : [...found, { path: `${path}.order`, was: first, now: second }];
}

/**
 * The fields in which two plain JSON documents differ, with dotted paths; items of lists by their ids.
 *
 * @returns one entry a leaf; a list or object that stands on one side only is one entry
 */
export function differences(was: unknown, now: unknown, path = ''): Difference[] {
  if (Array.isArray(was) && Array.isArray(now) && isNamed(was) && isNamed(now))
    return listDifferences(was, now, path);
  if (isNode(was) && isNode(now) && Array.isArray(was) === Array.isArray(now)) {
    const keys = new Set([...Object.keys(was), ...Object.keys(now)]);
    return [...keys].flatMap((key) =>
      differences(
        (was as Record<string, unknown>)[key],
        (now as Record<string, unknown>)[key],
        path === '' ? key : `${path}.${key}`
      )
    );
  }
  return was === now ? [] : [{ path, was: show(was), now: show(now) }];
}
