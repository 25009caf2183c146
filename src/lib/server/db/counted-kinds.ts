import { HITS } from '../../../core/driving/drive-move.ts';
import { OPEN_QUESTIONS } from '../../../core/reworking/rework-moves.ts';
import { IN_BIN } from '../../../core/stock/stock.ts';
import type { Database } from './connect.ts';
import { rowsOf } from './transaction.ts';

/** By log: what an event of each kind does to what lists count of it. */
const COUNTED: Readonly<Record<string, Readonly<Record<string, number | null>>>> = {
  drive: HITS,
  rework: OPEN_QUESTIONS,
  stock: IN_BIN
};

/** Writes what core says of each kind where the statements of lists read it (migration 0029). */
export async function writeCountedKinds(database: Database): Promise<void> {
  const rows = Object.entries(COUNTED).flatMap(([log, kinds]) =>
    Object.entries(kinds).map(([kind, change]) => ({ log, kind, change }))
  );
  await rowsOf(
    database,
    `insert into counted_kinds select log, kind, change
     from jsonb_to_recordset($1::jsonb) as r (log text, kind text, change smallint)
     on conflict (log, kind) do update set change = excluded.change
       where counted_kinds.change is distinct from excluded.change`,
    [JSON.stringify(rows)]
  );
}
