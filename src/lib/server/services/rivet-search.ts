import type { RivetWish } from '../../api/records-wish.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';

/** A condition with the values that stand in it. */
export interface Sought {
  where: string;
  values: unknown[];
}

/** The first instant of a day on the server's own clock, and of the day after. */
const dayStart = (day: string, daysOn = 0): string => {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(year, month - 1, date + daysOn).toISOString();
};
/** Text as it stands, where `like` has signs of its own. */
const literally = (text: string): string => text.replace(/[\\%_]/g, '\\$&');

/** A search whose joints were looked up, where they are few. */
export type NarrowWish = RivetWish & { joints?: readonly string[] };

/** So many joints are asked for one by one, through the index; of more every rivet is held against them. */
const FEW_JOINTS = 300;

/** Looks up the joints that a part of a name means: the database cannot guess how few they are. */
export async function narrow(database: Database, wish: RivetWish): Promise<NarrowWish> {
  if (wish.joint === undefined) return wish;
  const values: unknown[] = [];
  const joints = jointsAsked(wish, (value) => `$${values.push(value)}`);
  if (joints === null) return wish;
  const found = await rowsOf<{ id: string }>(database, `${joints} limit ${FEW_JOINTS + 1}`, values);
  return found.length > FEW_JOINTS ? wish : { ...wish, joints: found.map(({ id }) => id) };
}

/** Joints by job or by a part of their names; null where neither is asked. */
function jointsAsked({ job, joint }: RivetWish, bind: (value: unknown) => string): string | null {
  const asked = [
    ...(job === undefined ? [] : [`job_id = ${bind(job)}`]),
    ...(joint === undefined ? [] : [`title ilike ${bind(`%${literally(joint)}%`)}`])
  ];
  return asked.length === 0 ? null : `select id from joints where ${asked.join(' and ')}`;
}

/**
 * What a search asks of `rivet_records r`, each part of it answered by an index of its own.
 *
 * @param first the number of the first value, as `$1` counts
 */
export function rivetsAsked(wish: NarrowWish, first = 1): Sought {
  const values: unknown[] = [];
  const bind = (value: unknown): string => `$${values.push(value) + first - 1}`;
  const { part, lot, batch, setting, person, did, finding, verdict, from, to } = wish;
  const conditions: string[] = [];
  const joints = wish.joints ? null : jointsAsked(wish, bind);
  if (wish.joints) conditions.push(`r.joint_id = any(${bind(wish.joints)}::uuid[])`);
  if (joints !== null) conditions.push(`r.joint_id in (${joints})`);
  if (part !== undefined) {
    // from its beginning to whatever comes after every text that begins so: the index is walked between them
    const begins = part.toUpperCase();
    conditions.push(
      `r.part_number >= ${bind(begins)} and r.part_number < ${bind(`${begins}\uffff`)}`
    );
  }
  if (lot !== undefined) conditions.push(`upper(r.lot) = upper(${bind(lot)})`);
  if (batch !== undefined) conditions.push(`r.batch = ${bind(batch)}`);
  if (setting !== undefined) conditions.push(`r.setting = ${bind(setting)}`);
  if (person !== undefined) {
    const who = bind([person]);
    const drove = `r.drove @> ${who}::uuid[]`;
    const looked = `r.looked @> ${who}::uuid[]`;
    conditions.push(
      did === 'drove' ? drove : did === 'looked' ? looked : `(${drove} or ${looked})`
    );
  }
  if (finding !== undefined) conditions.push(`r.findings @> ${bind([finding])}::text[]`);
  if (verdict !== undefined)
    conditions.push(verdict === 'none' ? 'r.looked_at is null' : `r.verdict = ${bind(verdict)}`);
  if (from !== undefined) conditions.push(`r.at >= ${bind(dayStart(from))}`);
  if (to !== undefined) conditions.push(`r.at < ${bind(dayStart(to, 1))}`);
  return { where: conditions.length === 0 ? 'true' : conditions.join(' and '), values };
}

/** Whether anything is asked that only rivets can answer. */
export const asksOfRivets = (wish: RivetWish): boolean =>
  rivetsAsked({ ...wish, job: undefined, joint: undefined, from: undefined, to: undefined })
    .where !== 'true';
