import { EnteredCoupon, readCoupon } from '../../../core/grading/coupon.ts';
import { gradeCoupon } from '../../../core/grading/grade-coupon.ts';
import type { KeptCoupon } from '../../api/grading.ts';
import type { Paper } from '../../../core/exchange/tiles.ts';
import { COUPON_PROBLEMS, couponPath } from '../../words/grading.ts';
import type { WriteLength } from '../../words/writing.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { pdfCoupon } from '../files/pdf-coupon.ts';
import { done, refused, type Outcome } from '../outcome.ts';

interface Row {
  id: string;
  document: unknown;
  revision: number;
  saved_at: Date;
  by: string;
}
const COUPONS = `select c.id, c.document, c.revision, c.saved_at, p.name as by
  from graded_coupons c join people p on p.id = c.saved_by`;
const toKept = ({ id, document, revision, saved_at, by }: Row): KeptCoupon => ({
  id,
  revision,
  savedAt: saved_at.toISOString(),
  savedBy: by,
  coupon: EnteredCoupon.parse(document)
});

/** The list shows the latest. */
const MOST_LISTED = 200;

/** Coupons, the latest first. */
export const listCoupons = async (database: Database): Promise<KeptCoupon[]> =>
  (
    await rowsOf<Row>(database, `${COUPONS} order by c.saved_at desc, c.id limit ${MOST_LISTED}`)
  ).map(toKept);

export async function getCoupon(database: Database, id: string): Promise<Outcome<KeptCoupon>> {
  const [row] = await rowsOf<Row>(database, `${COUPONS} where c.id = $1`, [id]);
  return row ? done(toKept(row)) : refused('not-found', 'there is no such coupon');
}

/** Keeps a coupon; one that somebody else has kept meanwhile is not overwritten. */
export async function keepCoupon(
  database: Database,
  id: string,
  { revision, coupon }: { revision: number; coupon: EnteredCoupon },
  personId: string
): Promise<Outcome<{ revision: number }>> {
  const [row] = await rowsOf<{ revision: number }>(
    database,
    revision === 0
      ? `insert into graded_coupons (id, document, saved_by) values ($1, $2::jsonb, $3)
         on conflict (id) do update set revision = graded_coupons.revision
           where graded_coupons.document = excluded.document
         returning revision`
      : `update graded_coupons set document = $2::jsonb, saved_by = $3, saved_at = now(), revision = revision + 1
         where id = $1 and (revision = $4 or document = $2::jsonb) returning revision`,
    revision === 0
      ? [id, JSON.stringify(coupon), personId]
      : [id, JSON.stringify(coupon), personId, revision]
  );
  return row ? done(row) : refused('stale', 'Someone else saved this coupon. Reload it.');
}

/** A coupon as a sheet to hand back. */
export async function couponSheet(
  database: Database,
  id: string,
  paper: Paper,
  length: WriteLength
): Promise<Outcome<Buffer>> {
  const kept = await getCoupon(database, id);
  if (!kept.ok) return kept;
  const read = readCoupon(kept.value.coupon);
  if (!read.ok) {
    const [path, problem] = [...read.problems][0] ?? ['', 'no-length' as const];
    return refused('not-possible', `${couponPath(path)}: ${COUPON_PROBLEMS[problem]}`);
  }
  return done(await pdfCoupon(kept.value, read.coupon, gradeCoupon(read.coupon), paper, length));
}
