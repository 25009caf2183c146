import { isDeepStrictEqual } from 'node:util';
import { rivetRuns } from '../../../core/driving/rivet-runs.ts';
import { headBand } from '../../../core/tool-setting/head-band.ts';
import { toolOffer } from '../../../core/tool-setting/remembered-tools.ts';
import { gunForRun, squeezerForRun } from '../../../core/tool-setting/run-setting.ts';
import { ToolSetup } from '../../../core/tool-setting/tool-setup.ts';
import { toolStream } from '../../../core/tool-setting/tool-stream.ts';
import type { NewToolSetting } from '../../api/tool-settings.ts';
import type { ToolSettingLine, ToolSettingView, ToolTask } from '../../tool-setting-view.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';
import { eventsOf, eventsOfMany } from '../events/read.ts';
import { toolEvents } from '../events/tool-events.ts';
import { latestIssue } from './issues.ts';
import { because, done, refused, type Outcome } from '../outcome.ts';
import { shopFigures } from './ready.ts';

interface Row {
  id: string;
  joint_id: string | null;
  run: string | null;
  work: string;
  setup: unknown;
  begun_at: Date;
  by: string;
}
const SETTINGS = `select s.id, s.joint_id, s.run, s.work, s.setup, s.begun_at, p.name as by
  from tool_settings s join people p on p.id = s.person_id`;

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

/** Settings of tools with what happened to them, the latest first; of one joint or of all. */
export async function toolSettings(
  database: Database,
  jointId: string | null = null
): Promise<ToolSettingLine[]> {
  const rows = await rowsOf<Row>(
    database,
    `${SETTINGS} where ($1::uuid is null or s.joint_id = $1) order by s.seq desc`,
    [jointId]
  );
  const read = rows.map((row) => ({ row, setup: ToolSetup.parse(row.setup) }));
  // one after the other: a signature asks within its act
  const events = await eventsOfMany(
    database,
    toolEvents,
    rows.map(({ id }) => id)
  );
  const turned = await turnedSince(
    database,
    read.map(({ row, setup }) => ({ id: row.id, name: setup.name }))
  );
  return read.map(({ row, setup }) => {
    return {
      id: row.id,
      jointId: row.joint_id,
      run: row.run,
      work: row.work,
      setup,
      begunAt: row.begun_at.toISOString(),
      by: row.by,
      turnedAt: turned(row.id),
      state: toolStream.project(setup, events.get(row.id) ?? [])
    };
  });
}

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
  const [row] = await rowsOf<{
    setup: unknown;
    joint_id: string | null;
    run: string | null;
    work: string;
  }>(
    database,
    `with put as (
       insert into tool_settings (id, joint_id, run, work, setup, person_id, begun_at)
       values ($1, $2, $3, $4, $5::jsonb, $6, $7) on conflict (id) do nothing returning setup, joint_id, run, work)
     select * from put union all select setup, joint_id, run, work from tool_settings where id = $1 limit 1`,
    [id, run?.jointId ?? null, run?.key ?? null, work, JSON.stringify(setup), personId, begunAt]
  );
  const same =
    row?.joint_id === (run?.jointId ?? null) &&
    row.run === (run?.key ?? null) &&
    row.work === work &&
    isDeepStrictEqual(ToolSetup.parse(row.setup), setup);
  return same ? done(id) : refused('conflict', 'another setting was stored under this id');
}

/** One setting with its events, and where its tool may begin. */
export async function getToolSetting(
  database: Database,
  id: string
): Promise<Outcome<ToolSettingView>> {
  const [row] = await rowsOf<Row>(database, `${SETTINGS} where s.id = $1`, [id]);
  if (!row) return refused('not-found', 'there is no such setting');
  const [all, events] = await Promise.all([
    toolSettings(database),
    eventsOf(database, toolEvents, id)
  ]);
  const setup = ToolSetup.parse(row.setup);
  const at = all.findIndex((one) => one.id === id);
  const before = all.slice(at + 1);
  return done({
    id,
    setup,
    work: row.work,
    jointId: row.joint_id,
    begunAt: row.begun_at.toISOString(),
    by: row.by,
    turnedAt: all[at]?.turnedAt ?? null,
    events,
    offered: toolOffer(setup, before)
  });
}

/** @returns null where the joint was never released, or has no such run */
export async function toolTaskOf(
  database: Database,
  jointId: string,
  key: string
): Promise<ToolTask | null> {
  const [issue, { tools }, joint] = await Promise.all([
    latestIssue(database, jointId),
    shopFigures(database),
    database.models.Joint.findByPk(jointId, { attributes: ['title'] })
  ]);
  const run = issue && rivetRuns(issue).find((one) => one.key === key);
  if (!issue || !run || !joint) return null;
  return {
    jointId,
    run: { key, partNumber: run.partNumber, rivets: run.holes.length },
    work: `${joint.title}: ${run.partNumber}`,
    setups: [
      ...tools.squeezers.map((squeezer) => squeezerForRun(issue, run, squeezer, '')),
      ...tools.guns.map(({ name }) => gunForRun(issue, run, { name, set: '', bar: '' }, ''))
    ]
  };
}
