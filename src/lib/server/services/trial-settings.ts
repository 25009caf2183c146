import { isDeepStrictEqual } from 'node:util';
import type { Recorded, Stamped } from '../../../core/events/stream.ts';
import type { TrialLine } from '../../setting-view.ts';
import type { Database } from '../db/connect.ts';
import { eventsOfMany } from '../events/read.ts';
import type { SettingLog } from '../events/setting-events.ts';
import { done, refused, type Outcome } from '../outcome.ts';

/** A setting of a tool as it is stored, whichever tool. */
interface StoredSetting {
  id: string;
  jointId: string | null;
  work: string;
  setup: unknown;
  begunAt: Date;
  person?: { name: string };
}

/** With whoever began it; the latest first. */
export const WITH_PERSON = {
  include: [{ association: 'person', attributes: ['name'] }],
  order: [['seq', 'DESC']] as [string, string][]
};

/** Settings with what happened to them, in the order given; one query. */
export async function withStates<
  Row extends StoredSetting,
  Setup,
  Move extends Stamped,
  Found,
  State
>(
  database: Database,
  log: SettingLog<Setup, Move, Found, State>,
  rows: readonly Row[]
): Promise<
  {
    row: Row;
    /** as its own page has it, which projects its events itself */
    setting: Omit<TrialLine<Setup, State>, 'state'>;
    line: TrialLine<Setup, State>;
    events: Recorded<Move, Found | null>[];
  }[]
> {
  const events = await eventsOfMany(
    database,
    log,
    rows.map(({ id }) => id)
  );
  return rows.map((row) => {
    const { id, jointId, work } = row;
    const setup = log.Setup.parse(row.setup);
    const own = events.get(id) ?? [];
    const setting = {
      id,
      jointId,
      work,
      setup,
      begunAt: row.begunAt.toISOString(),
      by: row.person?.name ?? ''
    };
    return {
      row,
      events: own,
      setting,
      line: { ...setting, state: log.stream.project(setup, own) }
    };
  });
}

/** What says that a setting is the one sent: who and when may differ in a repeat. */
type Sent = Record<string, unknown> & { id: string };

/**
 * The answer to a setting that was begun, or sent once more.
 *
 * @param made the row under its id, and whether it is new
 */
export const begun = (
  [row, fresh]: [{ get(column: string): unknown }, boolean],
  sent: Sent
): Outcome<string> =>
  fresh || Object.entries(sent).every(([key, value]) => isDeepStrictEqual(row.get(key), value))
    ? done(sent.id)
    : refused('conflict', 'another setting was stored under this id');
