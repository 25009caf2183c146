import type { InferAttributes, WhereOptions } from 'sequelize';
import { rivetRuns } from '../../../core/driving/rivet-runs.ts';
import { headBand } from '../../../core/tool-setting/head-band.ts';
import { toolOffer } from '../../../core/tool-setting/remembered-tools.ts';
import { gunForRun, squeezerForRun } from '../../../core/tool-setting/run-setting.ts';
import type { NewToolSetting } from '../../api/tool-settings.ts';
import type { ToolLine, ToolSettingView, ToolTask } from '../../setting-view.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import type { ToolSettingRow } from '../db/setting-models.ts';
import { toolEvents } from '../events/setting-events.ts';
import { latestRelease } from './releases.ts';
import { isPracticeJoint } from './practice.ts';
import { because, done, refused, type Outcome } from '../outcome.ts';
import { shopFigures } from './ready.ts';
import { begun, withStates, WITH_PERSON } from './trial-settings.ts';

/** When each tool was last tried for something else than a setting, by the setting’s id. */
async function turnedSince(
  database: Database,
  settings: readonly { id: string; name: string }[]
): Promise<(id: string) => string | null> {
  const tried = await rowsOf<{ id: string; name: string; at: Date }>(
    database,
    `select s.id, s.setup->>'name' as name, max(e.at) as at
     from tool_setting_events e join tool_settings s on s.id = e.subject_id
     where e.kind = 'trial' and s.setup->>'name' = any($1::text[]) group by s.id, name`,
    [[...new Set(settings.map(({ name }) => name))]]
  );
  const nameOf = new Map(settings.map(({ id, name }) => [id, name]));
  return (id) => {
    const others = tried.filter((one) => one.id !== id && one.name === nameOf.get(id));
    const last = Math.max(-Infinity, ...others.map(({ at }) => at.getTime()));
    return Number.isFinite(last) ? new Date(last).toISOString() : null;
  };
}

async function settingsWhere(
  database: Database,
  where: WhereOptions<InferAttributes<ToolSettingRow>>
) {
  const rows = await database.models.ToolSettingRow.findAll({ ...WITH_PERSON, where });
  // one after the other: a signature asks within its act
  const settings = await withStates(database, toolEvents, rows);
  const turned = await turnedSince(
    database,
    settings.map(({ line }) => ({ id: line.id, name: line.setup.name }))
  );
  return settings.map(({ row, events, setting, line }) => {
    const turnedAt = turned(line.id);
    return { events, setting: { ...setting, turnedAt }, line: { ...line, run: row.run, turnedAt } };
  });
}

/** Settings of tools with what happened to them, the latest first; of one joint or of all. */
export const toolSettings = async (
  database: Database,
  jointId: string | null = null
): Promise<ToolLine[]> =>
  (await settingsWhere(database, jointId === null ? {} : { jointId })).map(({ line }) => line);

/** Why no setting is begun for a practice joint. */
export const NO_SETTING =
  'practice qualifies no setting: begin it under Tool setup, or for a joint of a job';

/** Begins a setting, where the rivet makes a good head at all. */
export async function beginToolSetting(
  database: Database,
  { id, setup, run, work }: NewToolSetting,
  personId: string,
  begunAt = new Date()
): Promise<Outcome<string>> {
  const band = setup.tool === 'dies' ? null : headBand(setup);
  if (band && !band.ok) return refused('not-possible', because(band.error));
  if (run && !(await database.models.Joint.findByPk(run.jointId)))
    return refused('not-found', 'there is no such joint');
  if (run && (await isPracticeJoint(database, run.jointId)))
    return refused('not-possible', NO_SETTING);
  const sent = { id, jointId: run?.jointId ?? null, run: run?.key ?? null, work, setup };
  return begun(
    await database.models.ToolSettingRow.findOrCreate({
      where: { id },
      defaults: { ...sent, personId, begunAt }
    }),
    sent
  );
}

/** One setting with its events, and where its tool may begin. */
export async function getToolSetting(
  database: Database,
  id: string
): Promise<Outcome<ToolSettingView>> {
  const all = await settingsWhere(database, {});
  const at = all.findIndex(({ line }) => line.id === id);
  const one = all[at];
  if (!one) return refused('not-found', 'there is no such setting');
  const { setting, events } = one;
  const before = all.slice(at + 1).map(({ line }) => line);
  return done({ ...setting, events, offered: toolOffer(setting.setup, before) });
}

/** @returns null where the joint was never released, or has no such run */
export async function toolTaskOf(
  database: Database,
  jointId: string,
  key: string
): Promise<ToolTask | null> {
  const [release, { tools }, joint] = await Promise.all([
    latestRelease(database, jointId),
    shopFigures(database),
    database.models.Joint.findByPk(jointId, { attributes: ['title'] })
  ]);
  const run = release && rivetRuns(release).find((one) => one.key === key);
  if (!release || !run || !joint || release.facts.practice) return null;
  return {
    jointId,
    run: { key, partNumber: run.partNumber, rivets: run.holes.length },
    work: `${joint.title}: ${run.partNumber}`,
    setups: [
      ...tools.squeezers.map((squeezer) => squeezerForRun(release, run, squeezer, '')),
      ...tools.guns.map(({ name }) => gunForRun(release, run, { name, set: '', bar: '' }, ''))
    ]
  };
}
