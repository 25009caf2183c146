import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A move that the server has not acknowledged yet. */
interface Waiting {
  id: string;
  /** its stream and what it happens to */
  box: string;
  /** order in which they were made */
  n: number;
  move: unknown;
}

interface Schema extends DBSchema {
  outbox: { key: string; value: Waiting; indexes: { box: string } };
}

let opened: Promise<IDBPDatabase<Schema> | null> | null = null;

/** This browser's own store; null where the browser has none to give: then everything still goes to the server. */
const store = (): Promise<IDBPDatabase<Schema> | null> => (opened ??= open().catch(() => null));

/** A browser without such a store says so at once, another only when asked: both by a refused promise. */
const open = async (): Promise<IDBPDatabase<Schema>> =>
  openDB<Schema>('zanjador', 1, {
    upgrade: (database) =>
      void database.createObjectStore('outbox', { keyPath: 'id' }).createIndex('box', 'box')
  });

let made = 0;

/**
 * Keeps a move until it is dropped; whatever tab made it.
 *
 * @returns whether this browser could
 */
export async function keepMove(box: string, move: { id: string }): Promise<boolean> {
  made += 1;
  const n = Date.now() + made / 1000;
  const kept = await store();
  await kept?.put('outbox', { id: move.id, box, n, move });
  return kept !== null;
}

/** Drops moves that the server has, or will never take. */
export async function dropMoves(ids: readonly string[]): Promise<void> {
  const transaction = (await store())?.transaction('outbox', 'readwrite');
  if (!transaction) return;
  await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
}

/** What waits in a box, the first made first. */
export async function keptMoves(box: string): Promise<unknown[]> {
  const found = (await (await store())?.getAllFromIndex('outbox', 'box', box)) ?? [];
  return found.sort((a, b) => a.n - b.n).map(({ move }) => move);
}

/** Everything that waits in this browser, whichever page made it, by its box; the first made first. */
export async function keptByBox(): Promise<Map<string, { id: string; move: unknown }[]>> {
  const found = (await (await store())?.getAll('outbox')) ?? [];
  const boxes = new Map<string, { id: string; move: unknown }[]>();
  for (const { id, box, move } of found.sort((a, b) => a.n - b.n))
    boxes.set(box, [...(boxes.get(box) ?? []), { id, move }]);
  return boxes;
}
