import { SUMMARY_VERSION, type PlanSummary } from '../../../core/release/summary.ts';
import type { EnteredJoint } from '../../../core/kinds/joint.ts';
import { readEntered } from '../../../core/kinds/read-entered.ts';
import { planCost } from '../../../core/plan/plan-cost.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import { told } from '../../../core/refusal-said.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { inThread } from '../heavy/threads.ts';
import { log } from '../log.ts';
import { readDefinition, readProfile } from './documents.ts';

/** A summary and the version it is kept under. */
export interface MadeSummary {
  summary: PlanSummary;
  version: number;
}

/** There was no thread for it: a list that meets it makes it anew. */
const NOT_NOW = 0;
const NOTHING = { stoppedAt: null, holes: 0, parts: null, attention: [] };

/** A joint that cannot be planned says so in its own line: it must not take down the list, nor the save. */
export async function makeSummary(
  definition: EnteredJoint,
  profile: RuleProfile
): Promise<MadeSummary> {
  try {
    const read = readEntered(definition);
    const cost = read.ok ? planCost(read.definition) : 0;
    const made = await inThread('summarized', { definition, profile }, cost);
    if (made.ok) return { summary: made.value, version: SUMMARY_VERSION };
    const { kind } = definition;
    return { summary: { kind, state: 'costly', ...NOTHING }, version: NOT_NOW };
  } catch (error) {
    log.error({ err: error, kind: definition.kind }, 'a joint could not be planned');
    const why = told('not feasible: open to see why');
    const { kind } = definition;
    const summary = { kind, state: 'impossible' as const, ...NOTHING, attention: [{ why }] };
    return { summary, version: SUMMARY_VERSION };
  }
}

/** Keeps what lists say of a joint, within the act that changes it. */
export async function keepSummary(
  database: Database,
  jointId: string,
  { summary, version }: MadeSummary
): Promise<void> {
  await rowsOf(
    database,
    `insert into joint_summaries (joint_id, version, summary) values ($1, $2, $3::jsonb)
     on conflict (joint_id) do update set version = excluded.version, summary = excluded.summary
     returning joint_id`,
    [jointId, version, JSON.stringify(summary)]
  );
}

interface Unkept {
  id: string;
  definition: unknown;
  document_version: number;
  rules: unknown;
  rules_version: number;
}

/** Makes the summaries that are missing, or were made by an earlier version of the program. */
export async function makeSummaries(
  database: Database,
  jointIds: readonly string[]
): Promise<Map<string, PlanSummary>> {
  if (jointIds.length === 0) return new Map();
  // The joints are held meanwhile: a save that came in between would be followed by what was there before it.
  return inTransaction(database, () => makeWithin(database, jointIds));
}

async function makeWithin(
  database: Database,
  jointIds: readonly string[]
): Promise<Map<string, PlanSummary>> {
  const made = new Map<string, PlanSummary>();
  const rows = await rowsOf<Unkept>(
    database,
    `select j.id, j.definition, j.document_version, p.rules, p.document_version as rules_version
     from joints j join rule_profiles p on p.id = j.profile_id where j.id = any($1::uuid[])
     order by j.id for share of j`,
    [[...jointIds]]
  );
  for (const row of rows) {
    const definition = readDefinition(row.document_version, row.definition);
    const profile = readProfile(row.rules_version, row.rules);
    if (!definition.ok || !profile.ok) continue;
    const one = await makeSummary(definition.value, profile.value);
    await keepSummary(database, row.id, one);
    made.set(row.id, one.summary);
  }
  return made;
}
