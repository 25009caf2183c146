/** Dotted paths in a document: an item of a list stands in them by its id, wherever it is in the list. */

const isNode = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;

const idOf = (item: unknown): string | null =>
  isNode(item) && typeof item['id'] === 'string' ? item['id'] : null;

/** What a key leads to: a field of an object, an item of a list by its id or, where it has none, by its place. */
function step(node: unknown, key: string): unknown {
  if (Array.isArray(node)) return node.find((item) => idOf(item) === key) ?? node[Number(key)];
  return isNode(node) ? node[key] : undefined;
}

/** The value at a path, or undefined. */
export const valueAt = (document: unknown, path: string): unknown =>
  path === '' ? document : path.split('.').reduce(step, document);

/** A path with places in lists turned into ids. */
export function pathById(document: unknown, path: string): string {
  let node = document;
  return path
    .split('.')
    .map((key) => {
      const next = step(node, key);
      const named = Array.isArray(node) ? (idOf(next) ?? key) : key;
      node = next;
      return named;
    })
    .join('.');
}

/** The document with another value at a path. */
export function withValueAt<T>(document: T, path: string, value: unknown): T {
  const [key = '', ...rest] = path.split('.');
  const changed = (node: unknown) =>
    rest.length === 0 ? value : withValueAt(node, rest.join('.'), value);
  if (Array.isArray(document)) {
    const at = document.findIndex((item) => idOf(item) === key);
    const index = at === -1 ? Number(key) : at;
    return document.map((item, place) => (place === index ? changed(item) : item)) as T;
  }
  return isNode(document) ? ({ ...document, [key]: changed(document[key]) } as T) : document;
}

/** A path with items by their place, counted from 1, where it has their ids: it can be read without the document. */
export function placedPath(document: unknown, path: string): string {
  let node = document;
  return path
    .split('.')
    .map((key) => {
      const at = Array.isArray(node) ? node.findIndex((item) => idOf(item) === key) : -1;
      node = step(node, key);
      return at === -1 ? key : String(at + 1);
    })
    .join('.');
}
