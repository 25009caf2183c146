import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { log } from '../log.ts';

const MOST_IN_A_LINK = 5000;
/** What was noted is tied in soon after, not in the act: acts would wait for each other. */
const LINK_AFTER_MS = 3000;

/** Ties in whatever was noted. @returns how many rows */
export async function linkRows(database: Database): Promise<number> {
  for (let sum = 0; ;) {
    const [row] = await rowsOf<{ linked: number }>(database, 'select link_rows($1) as linked', [
      MOST_IN_A_LINK
    ]);
    sum += row?.linked ?? 0;
    if ((row?.linked ?? 0) < MOST_IN_A_LINK) return sum;
  }
}

let timer: NodeJS.Timeout | null = null;

/** Ties in what an act noted, once it is quiet for a moment. */
export function linkSoon(database: Database): void {
  timer ??= setTimeout(() => {
    timer = null;
    linkRows(database).catch((err: unknown) =>
      log.error({ err }, 'the audit chain was not continued')
    );
  }, LINK_AFTER_MS).unref();
}
