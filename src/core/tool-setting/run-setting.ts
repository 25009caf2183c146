import { rivetOfHole } from '../driving/rivet-of-hole.ts';
import type { RivetRun } from '../driving/rivet-runs.ts';
import type { Release, ReleasedHole } from '../release/release.ts';
import { looksSame } from '../units/tolerance.ts';
import type { RememberedTool } from './remembered-tools.ts';
import { toolStatus, type ToolStatus, type UseNow } from './tool-status.ts';
import type { GunSetup, HeadSetup, SqueezerSetup } from './tool-setup.ts';

/** The grip that a hole’s head is reckoned from; releases made while a school decided it keep what it adds to the sheets, in. */
export function headGripIn({ facts }: Pick<Release, 'facts'>, hole: ReleasedHole): number {
  const stack = facts.stacks[hole.stack];
  return rivetOfHole(facts, hole).gripIn + (stack?.dimpledThrough === null ? stack.raisedIn : 0);
}

/** The rivet of a run as a tool is set for it: at the largest grip, where the least is driven too far. */
function rivetOfRun({ facts }: Pick<Release, 'facts'>, run: RivetRun) {
  const thickest = run.holes.reduce((most, hole) =>
    (hole.gripIn ?? facts.gripIn) > (most.gripIn ?? facts.gripIn) ? hole : most
  );
  const rivet = rivetOfHole(facts, thickest);
  const stack = facts.stacks[thickest.stack];
  return {
    dash: run.dash,
    head: run.head,
    alloy: run.alloy,
    lengthIn: rivet.lengthIn,
    gripIn: headGripIn({ facts }, thickest),
    holeIn: rivet.holeIn,
    dimpled: rivet.dimpledThrough,
    limits: facts.limits,
    wideIn3: stack?.wideIn3 ?? 0
  };
}

/** A squeezer of the shop, set for a run. */
export const squeezerForRun = (
  release: Pick<Release, 'facts'>,
  run: RivetRun,
  { name, turnIn, divisionsPerTurn }: Pick<SqueezerSetup, 'name' | 'turnIn' | 'divisionsPerTurn'>,
  lot: string
): SqueezerSetup => ({
  tool: 'squeezer',
  name,
  turnIn,
  divisionsPerTurn,
  ...rivetOfRun(release, run),
  lot
});

/** A gun of the shop with set and bar, set for a run. */
export const gunForRun = (
  release: Pick<Release, 'facts'>,
  run: RivetRun,
  { name, set, bar }: Pick<GunSetup, 'name' | 'set' | 'bar'>,
  lot: string
): GunSetup => ({ tool: 'gun', name, set, bar, ...rivetOfRun(release, run), lot });

/** In the order one would name them. */
const RESTS_ON = [
  'dash',
  'head',
  'alloy',
  'lengthIn',
  'gripIn',
  'holeIn',
  'dimpled',
  'limits',
  'wideIn3'
] as const;
/** One thing that a setting rested on and that is another now; lengths in inches. */
export interface ToolChange {
  what: (typeof RESTS_ON)[number];
  was: string | number | boolean;
  now: string | number | boolean;
}

/** What differs between what a tool was set for and what the run is now. */
const toolChanges = (was: HeadSetup, now: HeadSetup): ToolChange[] =>
  RESTS_ON.flatMap((what) => {
    const [before, after] = [was[what], now[what]];
    const alike =
      typeof before === 'number' && typeof after === 'number'
        ? looksSame(before, after)
        : before === after;
    return alike ? [] : [{ what, was: before, now: after }];
  });

/** A setting that was made for a run of a joint. */
export interface RunSetting extends RememberedTool {
  run: string | null;
  /** when the same tool was last tried for something else; null: never */
  turnedAt: string | null;
}

/** The setting that a run is driven with. */
export interface SettingInUse<S extends RunSetting> {
  setting: S;
  /** what the run has grown away from it in; with any it is good for nothing now */
  changes: ToolChange[];
  status: ToolStatus;
}

/**
 * The setting that a run is driven with: the latest that stands.
 *
 * @param settings of the joint, the latest first
 * @param use what it is about to be used for
 * @returns null where none was begun
 * @throws never
 */
export function settingOfRun<S extends RunSetting>(
  release: Pick<Release, 'facts'>,
  run: RivetRun,
  settings: readonly S[],
  use: Omit<UseNow, 'turnedAt'>
): SettingInUse<S> | null {
  for (const setting of settings) {
    const { setup, state } = setting;
    if (setting.run !== run.key || state.withdrawn || setup.tool === 'dies') continue;
    const now =
      setup.tool === 'squeezer'
        ? squeezerForRun(release, run, setup, '')
        : gunForRun(release, run, setup, '');
    return {
      setting,
      changes: toolChanges(setup, now),
      status: toolStatus(setup, state, { ...use, turnedAt: setting.turnedAt })
    };
  }
  return null;
}
