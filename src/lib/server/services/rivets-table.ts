import { FINDING_NAMES } from '../../words/heads.ts';
import { RESULT_NAMES } from '../../words/results.ts';
import { writeCsv } from '../../exchange/csv.ts';
import type { RivetWish } from '../../api/records-wish.ts';
import type { Database } from '../db/connect.ts';
import { findRivets } from './find-rivets.ts';
import { done, refused, type Outcome } from '../outcome.ts';

/** A table longer than this is asked for in parts. */
export const MOST_LINES = 50_000;

const COLUMNS = [
  'job',
  'joint',
  'release',
  'hole',
  'rivet_of_hole',
  'part_number',
  'lot',
  'driven_at',
  'driven_by',
  'tool',
  'looked_at',
  'looked_at_by',
  'sent_by',
  'diameter_D',
  'height_D',
  'verdict',
  'verdict_code',
  'findings',
  'finding_codes',
  'taken_out_at'
];

/** Every rivet that a search asks for, as a table; instants in UTC. */
export async function rivetsTable(database: Database, wish: RivetWish): Promise<Outcome<string>> {
  const { rivets, after } = await findRivets(
    database,
    { ...wish, after: undefined, before: undefined },
    MOST_LINES
  );
  if (after !== null)
    return refused(
      'too-long',
      `more than ${MOST_LINES.toLocaleString('en-US')} rivets are like that: ask for less, as for one job or a few months`
    );
  return done(
    writeCsv(
      COLUMNS,
      rivets.map((rivet) => ({
        job: rivet.job,
        joint: rivet.joint,
        release: rivet.release,
        hole: rivet.hole,
        rivet_of_hole: rivet.life + 1,
        part_number: rivet.partNumber,
        lot: rivet.lot ?? '',
        driven_at: rivet.drivenAt ?? '',
        driven_by: rivet.drove.join('; '),
        tool: rivet.tool ?? '',
        looked_at: rivet.lookedAt ?? '',
        looked_at_by: rivet.looked.join('; '),
        sent_by: rivet.sentBy.join('; '),
        diameter_D: rivet.diameterD?.toFixed(3) ?? '',
        height_D: rivet.heightD?.toFixed(3) ?? '',
        verdict: rivet.verdict === null ? '' : RESULT_NAMES[rivet.verdict],
        verdict_code: rivet.verdict ?? '',
        findings: rivet.findings.map((one) => FINDING_NAMES[one]).join('; '),
        finding_codes: rivet.findings.join('; '),
        taken_out_at: rivet.outAt ?? ''
      }))
    )
  );
}
