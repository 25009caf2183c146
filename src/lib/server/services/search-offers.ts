import type { RivetWish } from '../../api/records-wish.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';

/** A setting of a tool, or a cold batch, that rivets on record are of. */
export interface SearchOffer {
  id: string;
  /** the tool, or the lot */
  name: string;
  at: string;
}

/** So many of each are offered, the latest; an older one is found by a rivet of it. */
const MOST_OFFERED = 100;

interface Row {
  id: string;
  name: string;
  at: Date;
}
const toOffer = ({ id, name, at }: Row): SearchOffer => ({ id, name, at: at.toISOString() });

/** Settings of tools and cold batches with rivets on record, the latest first, and the one that is asked for. */
export async function searchOffers(
  database: Database,
  { setting, batch }: RivetWish
): Promise<{ settings: SearchOffer[]; batches: SearchOffer[] }> {
  const [settings, batches] = await Promise.all([
    rowsOf<Row>(
      database,
      `select s.id, s.setup->>'name' as name, s.begun_at as at from tool_settings s
       where s.id = $1 or s.id in (
         select o.id from tool_settings o
         where exists (select from rivet_records r where r.setting = o.id) order by o.seq desc limit $2)
       order by s.seq desc`,
      [setting ?? null, MOST_OFFERED]
    ),
    rowsOf<Row>(
      database,
      `select b.id, b.part_number || ', lot ' || b.lot as name, b.removed_at as at from cold_batches b
       where b.id = $1 or b.id in (
         select o.id from cold_batches o
         where exists (select from rivet_records r where r.batch = o.id) order by o.seq desc limit $2)
       order by b.seq desc`,
      [batch ?? null, MOST_OFFERED]
    )
  ]);
  return { settings: settings.map(toOffer), batches: batches.map(toOffer) };
}
