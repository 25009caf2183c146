/** Settings of the made-up shop’s squeezers and guns: everything here is invented. */
import { randomUUID } from 'node:crypto';
import type { Unstamped } from '../src/core/events/stream.ts';
import type { GunSetup, ToolSetup } from '../src/core/tool-setting/tool-setup.ts';
import type { ToolMove } from '../src/core/tool-setting/tool-moves.ts';
import type { NewToolSetting } from '../src/lib/api/tool-settings.ts';
import type { Database } from '../src/lib/server/db/connect.ts';
import { recordMoves, type Sender } from '../src/lib/server/events/record.ts';
import { toolEvents } from '../src/lib/server/events/setting-events.ts';
import { beginToolSetting, toolTaskOf } from '../src/lib/server/services/tool-settings.ts';
import { must } from './must.ts';

type Loose = Unstamped<ToolMove>;
const MINUTE_MS = 60_000;
const LOT = 'P-118';

const squeeze = (divisions: number, heightIn: number, fresh = false): Loose => ({
  kind: 'trial',
  trial: { what: 'squeeze', divisions, read: { by: 'caliper', heightIn }, fresh }
});
const burst = (seconds: number, heightIn: number, fresh = false): Loose => ({
  kind: 'trial',
  trial: { what: 'burst', seconds, heightIn, fresh }
});
const head = (diameterIn: number, heightIn: number, seconds: number | null = null): Loose => ({
  kind: 'made',
  made: { what: 'head', diameterIn, heightIn, seconds },
  gripIn: null,
  lot: LOT
});

const GUN: GunSetup = {
  tool: 'gun',
  name: 'gun 3X',
  set: 'swivel flush set',
  bar: 'bar, block',
  dash: 5,
  head: 'countersunk',
  alloy: 'AD',
  lengthIn: 0.375,
  gripIn: 0.142,
  holeIn: 0.159,
  dimpled: false,
  limits: 'standard',
  wideIn3: 0,
  lot: LOT
};

/** A squeezer released this morning for the lap’s run, and a gun that was set two days ago. */
export async function seedDemoTools(
  database: Database,
  person: Sender,
  lapId: string,
  run: string
): Promise<void> {
  const set = async (
    setup: ToolSetup,
    minutesAgo: number,
    moves: Loose[],
    of: NewToolSetting['run'] = null,
    work = ''
  ): Promise<void> => {
    const begun = Date.now() - minutesAgo * MINUTE_MS;
    const setting = { id: randomUUID(), setup, run: of, work };
    const id = must(await beginToolSetting(database, setting, person.id, new Date(begun)));
    const sent = moves.map((move, at): ToolMove => ({
      ...move,
      id: randomUUID(),
      at: new Date(begun + at * MINUTE_MS).toISOString()
    }));
    must(await recordMoves(database, toolEvents, id, sent, person));
  };
  await set(GUN, 50 * 60, [
    { kind: 'trial', trial: { what: 'wood', airPsi: 45, wood: 'wimpy' } },
    { kind: 'trial', trial: { what: 'wood', airPsi: 50, wood: 'dents' } },
    burst(0.5, 0.196, true),
    burst(1.4, 0.134),
    burst(0.8, 0.095),
    { kind: 'kept' },
    head(0.247, 0.086, 2.6),
    head(0.244, 0.088, 2.5),
    head(0.249, 0.085, 2.8)
  ]);
  const task = await toolTaskOf(database, lapId, run);
  const squeezer = task?.setups.find(({ name }) => name === 'air squeezer');
  if (!task || !squeezer) throw new Error('demo data: the lap has no run to set a squeezer for');
  await set(
    { ...squeezer, lot: LOT },
    95,
    [
      squeeze(2, 0.131, true),
      squeeze(9, 0.095),
      squeeze(12, 0.076),
      { kind: 'kept' },
      head(0.196, 0.073),
      head(0.198, 0.072),
      head(0.195, 0.074)
    ],
    { jointId: lapId, key: run },
    task.work
  );
}
