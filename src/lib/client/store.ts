import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A move that the server has not acknowledged yet. */
interface Waiting {
  id: string;
  /** its stream and what it happens to */
  box: string;
  /** order in which they were made */
  n: number;
  move: unknown;
  /** the page it was made on */
  page?: { path: string; title: string };
  /** why the server will never take it, where nobody was there to be told: kept until somebody lets go of it */
  refused?: string;
}
export type KeptEntry = Readonly<Waiting>;

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
  if (kept === null) return false;
  const page = { path: location.pathname, title: document.title };
  await kept.put('outbox', { id: move.id, box, n, move, page });
  return true;
}

/** Sets moves aside that the server will never take: they are not sent again, and stay here to be read. */
export async function setAside(ids: readonly string[], why: string): Promise<void> {
  const transaction = (await store())?.transaction('outbox', 'readwrite');
  if (!transaction) return;
  for (const id of ids) {
    const kept = await transaction.store.get(id);
    if (kept) await transaction.store.put({ ...kept, refused: why });
  }
  await transaction.done;
}

/** Drops moves that the server has, or that somebody let go of. */
export async function dropMoves(ids: readonly string[]): Promise<void> {
  const transaction = (await store())?.transaction('outbox', 'readwrite');
  if (!transaction) return;
  await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
}

/** All that lies in this browser, sent or not to be sent, whichever page made it; the first made first. */
export async function keptEntries(): Promise<KeptEntry[]> {
  const found = (await (await store())?.getAll('outbox')) ?? [];
  return found.sort((a, b) => a.n - b.n);
}

/** What waits in a box to be sent, the first made first. */
export async function keptMoves(box: string): Promise<unknown[]> {
  const found = (await (await store())?.getAllFromIndex('outbox', 'box', box)) ?? [];
  return found
    .filter(({ refused }) => refused === undefined)
    .sort((a, b) => a.n - b.n)
    .map(({ move }) => move);
}

/** What waits in this browser to be sent, by its box; the first made first. */
export function byBox(entries: readonly KeptEntry[]): Map<string, { id: string; move: unknown }[]> {
  const boxes = new Map<string, { id: string; move: unknown }[]>();
  for (const { id, box, move, refused } of entries)
    if (refused === undefined) boxes.set(box, [...(boxes.get(box) ?? []), { id, move }]);
  return boxes;
}
